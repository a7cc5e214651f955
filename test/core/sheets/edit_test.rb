# frozen_string_literal: true

require "json"
require_relative "../../core_helper"

class EditTest < CoreTest
  CONTENT = JSON.parse(File.read(File.join(CoreAlone::ROOT, "demo/sheets/brackwater-loft-k.json"))).freeze

  def edit
    Sheets::Edit.new(CONTENT)
  end

  def keys(content, list)
    content.fetch(list).map { |row| row["key"] }
  end

  def sheet(content)
    Sheets::Parse.new(content).call
  end

  def test_a_station_goes_in_where_it_is_put
    before = keys(CONTENT, "stations")

    assert_equal ["inlet-bend", *before], keys(edit.put_station("Inlet bend", after: nil), "stations")
    assert_equal [*before, "inlet-bend"], keys(edit.put_station("Inlet bend", after: before.last), "stations")
    assert_raises(KeyError) { edit.put_station("Inlet bend", after: "attic") }
  end

  def test_names_become_free_keys
    named = ->(name) { edit.put_position("name" => name, "station" => "motor", "kind" => "seal").last }

    assert_equal %w[lid-latch-no-2 motor-2 place beere-seal],
      ["Lid latch, no. 2", "Motor", "☃", "Bêere seal"].map(&named)
    assert_equal ["a" * 49, "a" * 50], ["#{'a' * 49} b", "a" * 51].map(&named), "no key ends with a dash"
  end

  def test_a_position_goes_in_last_whatever_is_called_alike
    seals = %w[Seal Seal Seal].inject(CONTENT) do |content, name|
      Sheets::Edit.new(content).put_position("name" => name, "station" => "motor", "kind" => "seal").first
    end

    assert_equal [*keys(CONTENT, "positions"), "seal", "seal-2", "seal-3"], keys(seals, "positions")
    only = { "positions" => [{ "key" => "seal" }, { "key" => "seal-2" }] }

    assert_equal "seal-3", Sheets::Edit.new(only).put_position("name" => "Seal").last
  end

  def test_a_position_is_replaced_but_for_its_key_and_empty_fields_go
    changed = edit.position("bag", { "name" => "Dust bag", "station" => "bag", "kind" => "bag", "care" => nil,
      "features" => [], "beside" => false, "measures" => {} })
    row = changed["positions"].find { |one| one["key"] == "bag" }

    assert_equal({ "key" => "bag", "name" => "Dust bag", "station" => "bag", "kind" => "bag" }, row)
    assert_raises(KeyError) { edit.position("attic", "name" => "x") }
  end

  def test_moving_stops_at_the_ends_and_taking_out_takes_one
    first, second, = keys(CONTENT, "stations")

    assert_equal [second, first], keys(edit.move("stations", first, 1), "stations").first(2)
    assert_equal CONTENT, edit.move("stations", first, -1)
    assert_equal CONTENT, edit.move("stations", keys(CONTENT, "stations").last, 1)
    assert_equal keys(CONTENT, "positions") - ["bag"], keys(edit.take_out("positions", "bag"), "positions")
  end

  def test_the_content_given_is_never_changed
    before = Marshal.load(Marshal.dump(CONTENT))
    edit.put_position("name" => "Latch", "station" => "motor", "kind" => "seal")
    edit.rename_station("motor", "Fan")
    edit.head("maker" => "Else", "kits" => nil)

    assert_equal before, CONTENT
  end

  def test_what_was_edited_still_is_a_sheet_or_says_why_not
    assert_equal "Fan", sheet(edit.rename_station("motor", "Fan")).stations.find { |station| station.key == "motor" }
      .name
    assert_raises(Sheets::Invalid) { sheet(edit.take_out("stations", "motor")) }
  end

  def test_changes_are_told_a_sentence_each
    changed = edit.move("stations", keys(CONTENT, "stations").first, 1).merge("warranty_months" => 12)
    told = Sheets::Changes.new(CONTENT, Sheets::Edit.new(changed).take_out("positions", "bag")).call

    assert_includes told, "place Fleece bag removed"
    assert_includes told, "stations reordered"
    assert(told.any? { |words| words.match?(/\Awarranty months was \d+, is 12\z/) })
    assert_empty Sheets::Changes.new(CONTENT, CONTENT).call
    { [false, true] => "rough was no, is yes", [nil, false] => "rough is now no",
      [true, nil] => "rough was yes, now empty" }.each do |values, words|
        old, new = values.map { |rough| { **CONTENT, "rough" => rough }.compact }

        assert_equal [words], Sheets::Changes.new(old, new).call
      end
  end

  def test_nothing_names_what_was_taken_out
    with_steps = CONTENT.merge("steps" => [
      { "key" => "a", "name" => "A", "opens" => %w[bag wand] },
      { "key" => "b", "name" => "B", "after" => ["a"], "takes_off" => ["bag"] },
      { "key" => "c", "name" => "C", "after" => ["b"], "refit_before" => ["b"] }
    ])
    places = Sheets::Edit.new(with_steps).take_out("positions", "bag")
    steps = Sheets::Edit.new(with_steps).take_out("steps", "b")

    assert_equal %w[wand], places["steps"].first["opens"]
    refute places["steps"][1].key?("takes_off")
    assert_equal [{ "key" => "c", "name" => "C", "after" => ["a"] }], steps["steps"].drop(1)
  end

  def test_a_step_of_its_own
    changed, key = Sheets::Edit.new(CONTENT.except("steps")).put_step("Lift the lid off")
    filled = Sheets::Edit.new(changed).step(key, "name" => "Lid", "opens" => [], "minutes" => 2)

    assert_equal ["lift-the-lid-off", [{ "key" => key, "name" => "Lid", "minutes" => 2 }]], [key, filled["steps"]]
    assert_raises(KeyError) { Sheets::Edit.new(CONTENT.except("steps")).step("attic", {}) }
  end
end
