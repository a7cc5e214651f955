# frozen_string_literal: true

require "nokogiri"
require_relative "../test_helper"
require_relative "../support/as_staff"

# Sheets as a list, as files, and as drafts, request by request.
class SheetsScreenTest < DatabaseTest
  include AsStaff

  def setup
    sign_in
  end

  def dart
    @dart ||= sheet("Hallmoor Dart M")
  end

  def file(text, name: "sheet.json")
    Rack::Test::UploadedFile.new(StringIO.new(text), "application/json", original_filename: name)
  end

  def written(sheet)
    Formats::SheetFile.write(Models::SheetVersion.with_pk!(sheet.current_version_id).content.to_hash)
  end

  def begin_draft
    submit "/sheets/#{dart.id}/draft"
    Models::Draft.first(sheet_id: dart.id)
  end

  def test_the_list_is_found_in_by_parts_of_maker_and_model_in_any_case
    get "/sheets", { "q" => "MOOR dart" }

    assert_says(/Hallmoor Dart M/)
    refute_match(/Brackwater/, page)
    get "/sheets", { "q" => "no such 100%" }

    assert_says(/No sheet called/)
  end

  def test_the_list_is_cut_into_pages_and_what_is_to_be_completed_is_told_first
    9.times do |number|
      Services::BeginSheet.call(maker: "Yarrow", model: "Test #{number}", kind: :stick, by: owner, at: NOW)
    end
    get "/sheets"
    first = page.scan(%r{<h2><a href="/sheets/(\d+)"}).flatten

    assert_says(/Not complete yet: .*Yarrow Test 8/)
    get page[%r{href="(/sheets\?[^"]*after=[^"]*)"}, 1].gsub("&amp;", "&")
    second = page.scan(%r{<h2><a href="/sheets/(\d+)"}).flatten

    assert_equal Models::Sheet.order(:maker, :model_name).select_map(:id).map(&:to_s), first + second
    refute_match(/Not complete yet:/, page)
  end

  def test_out_and_in_again_changes_nothing
    get "/sheets/#{dart.id}/sheet.json"
    text = page
    submit "/sheets", { "file" => file(text) }, from: "/sheets"
    follow_redirect!

    assert_says(/Nothing changed/)
    assert_equal 1, dart.versions_dataset.count
  end

  def test_a_changed_file_is_a_new_version_and_tells_what_changed
    text = written(dart).sub(/"warranty_months": \d+/, '"warranty_months": 61')
    submit "/sheets", { "file" => file(text) }, from: "/sheets"
    follow_redirect!

    assert_says(/warranty months was \d+, is 61/)
    get "/sheets/#{dart.id}", { "version" => "1" }

    assert_says(/This is version 1/)
  end

  def test_a_broken_file_names_line_and_rule_and_changes_nothing
    text = written(dart).sub('"kind": "stick"', '"kind": "broom"')
    line = text.lines.index { |one| one.include?("broom") } + 1
    before = Models::SheetVersion.count
    submit "/sheets", { "pasted" => text }, from: "/sheets"

    assert_equal 422, status
    assert_says(/Line #{line}: kind/)
    assert_equal before, Models::SheetVersion.count
    assert_keeps text.lines[line - 1].strip
  end

  def test_what_is_no_sheet_is_refused_in_words
    { "" => /Choose a file/, "\x89PNG\r\n\u0000".b => /no text|no JSON/, "[]" => /a sheet is an object/,
      "{" => /no JSON/,
      "[" * 60 => /no JSON/, "x" * 600_000 => /larger than any sheet/ }.each do |text, words|
      submit "/sheets", { "file" => file(text) }, from: "/sheets"

      assert_equal 422, status, words.inspect
      assert_says words
    end
  end

  def test_an_edit_without_scripts_goes_back_to_its_place
    draft = begin_draft
    submit "/drafts/#{draft.id}/positions/pre-filter", { "name" => "Cup filter", "station" => "pre", "kind" => "filter",
      "lock_version" => "0" }

    assert_equal "/drafts/#{draft.id}?at=pre-filter", last_response["location"].delete_prefix("http://example.org")
    assert_equal "Cup filter", draft.refresh.to_core.position("pre-filter").name
  end

  def test_a_refused_edit_keeps_all_that_was_typed
    draft = begin_draft
    submit "/drafts/#{draft.id}/positions/pre-filter",
      { "name" => "Cup filter", "station" => "pre", "kind" => "filter", "minutes" => "soon",
        "care" => "Brush it off", "lock_version" => "0",
        "clocks" => { "0" => { "action" => "replace", "limit" => "many", "counts" => "hours" } },
        "attributes" => { "0" => { "name" => "clip", "value" => "left" } } }

    assert_equal 422, status
    ["soon", "Brush it off", "many", "clip", "left"].each { |typed| assert_keeps typed }
    assert_says(/minutes must be a number/)
  end

  # What a model is tried for besides, one a line.
  def test_what_is_tried_at_the_end_of_each_job
    draft = begin_draft
    head = draft.data.slice("maker", "model", "kind", "power", "family", "body_style", "warranty_months")
    submit "/drafts/#{draft.id}/head", { **head.transform_values(&:to_s), "tests" => "It docks\r\n\r\n It is quiet \n",
      "lock_version" => "0" }

    assert_equal ["It docks", "It is quiet"], draft.refresh.to_core.tests
    get "/drafts/#{draft.id}?at=head"

    assert_keeps "It docks\nIt is quiet"
  end

  # Words of an action's own stand where those of the place do not suit.
  def test_what_is_done_has_words_of_its_own
    draft = begin_draft
    submit "/drafts/#{draft.id}/positions/cones", { "name" => "Cones", "station" => "cyclone", "kind" => "cyclone",
      "care" => "Soak them.", "care_of" => { "clean" => "Brush them dry.", "burn" => "No" }, "lock_version" => "0" }
    place = draft.refresh.to_core.position("cones")

    assert_equal ["Brush them dry.", "Soak them.", ["clean"]],
      [place.care_for("clean"), place.care_for(:wash), place.care_of.keys]
  end

  # A step of opening: what it takes off and opens, what holds it and where.
  def test_a_step_is_added_and_changed
    draft = begin_draft
    submit "/drafts/#{draft.id}/steps", { "name" => "Lift the lid off", "at" => "head", "lock_version" => "0" }

    assert_equal "/drafts/#{draft.id}?at=step.lift-the-lid-off", last_response["location"].delete_prefix("http://example.org")
    held = { "0" => { "count" => "2", "driver" => "T10", "length_mm" => "12,5", "diameter_mm" => "3",
                      "at" => "10,20 90,20" },
             "1" => { "kind" => "coin_lock", "turns" => "0.25", "direction" => "left" }, "2" => { "kind" => "screw" } }
    submit "/drafts/#{draft.id}/steps/lift-the-lid-off",
      { "name" => "Lift the lid off", "after" => ["bin-off"], "opens" => ["wand"], "may_lift" => "felt ring, spring",
        "fasteners" => held, "beyond_handbook" => "1", "outline" => "bar", "lock_version" => "1" }
    step = draft.refresh.to_core.step("lift-the-lid-off")

    assert_equal [["bin-off"], ["wand"], ["felt ring", "spring"], true, "bar"],
      [step.after, step.opens, step.may_lift, step.beyond_handbook, step.outline]
    assert_equal ["2 × T10, 12.5 mm", "1 × coin lock, a quarter turn to the left"], step.fasteners.map(&:words)
    assert_equal [[10, 20], [90, 20]], step.fasteners.first.at
    get "/drafts/#{draft.id}?at=step.lift-the-lid-off"

    assert_keeps "felt ring, spring"
    assert_keeps "10,20 90,20"
  end

  def test_a_refused_step_keeps_all_that_was_typed
    draft = begin_draft
    held = { "0" => { "count" => "two", "driver" => "T8", "note" => "the long ones", "at" => "10,20" } }
    submit "/drafts/#{draft.id}/steps/housing", { "name" => "Undo it", "minutes" => "soon", "fasteners" => held,
      "connectors" => "head plug", "lock_version" => "0" }

    assert_equal 422, status
    ["soon", "two", "the long ones", "head plug", "10,20"].each { |typed| assert_keeps typed }
    submit "/drafts/#{draft.id}/steps/bin-off", { "name" => "Bin", "after" => ["housing"], "lock_version" => "0" }

    assert_says(/the steps run in a loop/)
  end

  # What came after it comes after what that came after.
  def test_a_step_is_removed
    draft = begin_draft
    submit "/drafts/#{draft.id}/steps/clip-ring", { "take_out" => "1", "lock_version" => "0" }
    sheet = draft.refresh.to_core

    assert_equal [false, ["screen-off"]], [sheet.step?("clip-ring"), sheet.step("housing").after]
  end

  # What this model's faults are, how they are told by its lights, and whether it may run without its filter.
  def test_what_a_sheet_says_of_its_faults
    draft = begin_draft
    typed = { "name" => "Cup filter", "station" => "pre", "kind" => "filter", "look" => "Look at the rim.",
              "shares" => { "0" => { "complaint" => "noise", "fault" => "loose", "percent" => "12,5" } },
              "lights" => { "0" => { "color" => "red", "way" => "blinks", "count" => "4", "fault" => "full" } } }
    submit "/drafts/#{draft.id}/positions/pre-filter", { **typed, "lock_version" => "0" }
    place = draft.refresh.to_core.position("pre-filter")

    assert_equal ["Look at the rim.", 12.5, "red, blinks 4 times"],
      [place.look, place.shares.first.percent, place.lights.first.words]
    steady = { "color" => "red", "way" => "steady", "count" => "4", "fault" => "full" }
    wrong = { **typed, "lights" => { "0" => steady } }
    submit "/drafts/#{draft.id}/positions/pre-filter", { **wrong, "lock_version" => "1" }

    assert_equal 422, status
    assert_says(/a light that blinks is counted/)
    assert_keeps "12,5"
    submit "/drafts/#{draft.id}/head", { **draft.data.slice("maker", "model", "kind", "family", "body_style", "power"),
      "warranty_months" => "24", "runs_without_filter" => "no", "lock_version" => "1" }

    refute draft.refresh.to_core.runs_without_filter
    assert_equal "no", Nokogiri::HTML5(page_at("/drafts/#{draft.id}?at=head"))
      .at_css("#runs_without_filter option[selected]")["value"]
  end

  def page_at(path)
    get path
    page
  end

  def test_somebody_elses_change_is_shown_and_not_overwritten
    draft = begin_draft
    Services::EditDraft.call(draft, version: 0, by: technician) { |edit| edit.head("warranty_months" => 61) }
    submit "/drafts/#{draft.id}/positions/pre-filter", { "name" => "Cup filter", "station" => "pre", "kind" => "filter",
      "lock_version" => "0" }

    assert_equal 409, status
    assert_says(/Somebody else changed this draft/)
    refute_equal "Cup filter", draft.refresh.to_core.position("pre-filter").name
  end

  def test_stations_and_places_come_move_and_go
    draft = begin_draft
    path = "/drafts/#{draft.id}"
    submit "#{path}/stations", { "name" => "Silencer", "after" => draft.to_core.stations.last.key,
      "lock_version" => "0" }
    submit "#{path}/positions", { "name" => "Foam", "station" => "silencer", "kind" => "vents", "lock_version" => "1" }
    submit "#{path}/stations/silencer", { "move" => "up", "lock_version" => "2" }

    assert_equal "Foam", draft.refresh.to_core.position("foam").name
    assert_equal "silencer", draft.to_core.stations[-2].key
    submit "#{path}/stations/silencer", { "take_out" => "1", "lock_version" => "3" }

    assert_equal 422, status
    assert_says(/no station silencer/)
    submit "#{path}/positions/foam", { "take_out" => "1", "lock_version" => "3" }
    submit "#{path}/stations/silencer", { "take_out" => "1", "lock_version" => "4" }
    submit "#{path}/drop"

    assert_equal [303, 0], [status, Models::Draft.count]
  end

  def test_a_new_sheet_from_a_relative_and_its_mistakes
    submit "/drafts", { "maker" => "", "model" => "Dart N", "kind" => "stick" }, from: "/sheets/new"

    assert_equal 422, status
    assert_keeps "Dart N"
    submit "/drafts", { "maker" => "Hallmoor", "model" => "Dart N", "kind" => "drum", "relative_id" => dart.id.to_s },
      from: "/sheets/new"

    assert_equal dart.to_core.positions, Models::Draft.order(:id).last.to_core.positions
  end

  def test_a_new_sheet_from_a_starter
    submit "/drafts", { "maker" => "Newmark", "model" => "One" }, from: "/sheets/new"

    assert_says(/Choose what it begins with/)
    submit "/drafts", { "maker" => "Newmark", "model" => "One", "starter" => "kettle" }, from: "/sheets/new"

    assert_equal 422, status
    submit "/drafts", { "maker" => "Newmark", "model" => "One", "starter" => "robot-with-dock" }, from: "/sheets/new"
    draft = Models::Draft.order(:id).last

    assert_equal [303, "Newmark One", true], [status, draft.to_core.title, draft.to_core.rough]
    assert_includes draft.to_core.positions.map(&:key), "dock-bag"
    get "/drafts/#{draft.id}"

    assert_equal 200, status
  end

  def test_the_job_page_offers_the_newest_sheet_and_takes_it
    job = take_in
    Services::AddSheet.call(JSON.parse(written(dart)).merge("warranty_months" => 61), by: owner, at: NOW)
    get "/jobs/#{job.number}"

    assert_says(/has a newer version/)
    submit "/jobs/#{job.number}/sheet"
    get "/jobs/#{job.number}"

    refute_match(/has a newer version/, page)
  end
end
