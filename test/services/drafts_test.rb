# frozen_string_literal: true

require_relative "../test_helper"

# Sheets are edited as drafts and kept as versions; a job under way keeps the version it began with.
class DraftsTest < DatabaseTest
  def dart
    @dart ||= sheet("Hallmoor Dart M")
  end

  def draft(by: owner)
    Services::BeginDraft.of(dart, by: by, at: NOW)
  end

  def edit(draft, version: draft.lock_version, by: owner, &block)
    Services::EditDraft.call(draft, version: version, by: by, &block)
  end

  def keep(draft, **more)
    Services::KeepDraft.call(draft, note: "looked up again", by: owner, at: NOW, **more)
  end

  def test_there_is_one_draft_of_a_sheet_and_anybody_goes_on_with_it
    assert_equal draft.id, draft(by: technician).id
    assert_equal 1, Models::Draft.count
  end

  def test_kept_it_is_a_version_and_a_job_under_way_keeps_its_own
    job = take_in
    mine = edit(draft) { |edit| edit.head("warranty_months" => 60) }
    keep(mine)

    assert_equal [24, 60], [job.refresh.sheet.warranty_months, dart.refresh.to_core.warranty_months]
    assert_equal ["looked up again", owner.id], dart.versions.last.values.values_at(:note, :created_by)
    assert_equal 0, Models::Draft.count
  end

  def test_what_breaks_a_rule_is_refused_and_the_draft_stays
    mine = draft
    broken = assert_raises(Core::Sheets::Invalid) { edit(mine) { |edit| edit.head("kind" => "broom") } }

    assert_equal [["kind"]], broken.problems.map(&:path)
    assert_equal "stick", mine.refresh.data["kind"]
  end

  def test_a_change_upon_anothers_change_is_stale_and_upon_ones_own_is_not
    mine = draft
    theirs = Models::Draft.with_pk!(mine.id)
    edit(theirs, by: technician) { |edit| edit.head("warranty_months" => 30) }

    assert_raises(Services::Stale) { edit(mine.refresh, version: 0) { |edit| edit.head("warranty_months" => 31) } }
    assert_equal 31, edit(mine.refresh, version: 0, by: technician) { |edit| edit.head("warranty_months" => 31) }
      .data["warranty_months"]
    assert_equal 31, edit(mine.refresh, version: 0) { |edit| edit.head("warranty_months" => 31) }
      .data["warranty_months"], "the same again is no change"
  end

  def test_two_saves_at_the_same_moment_do_not_overwrite_each_other
    mine = draft
    theirs = Models::Draft.with_pk!(mine.id)
    edit(theirs, by: technician) { |edit| edit.head("warranty_months" => 30) }

    assert_raises(Services::Stale) { edit(mine) { |edit| edit.head("warranty_hours" => 500) } }
  end

  def test_what_is_gone_is_not_found
    assert_raises(Services::NotFound) { edit(draft) { |edit| edit.take_out("positions", "attic") } }
  end

  def test_a_version_that_came_in_since_is_not_replaced_unseen
    mine = edit(draft) { |edit| edit.head("warranty_months" => 60) }
    Services::AddSheet.call(dart.versions.last.content.to_hash.merge("warranty_hours" => 300), by: technician, at: NOW)

    assert_raises(Services::Stale) { keep(mine) }
    assert_equal [60, nil], keep(mine, over: dart.refresh.current_version_id)
      .to_core.then { |core| [core.warranty_months, core.warranty_hours] }
  end

  def test_a_new_model_from_a_relative_or_from_its_kind
    relative = Services::BeginDraft.fresh(maker: "Hallmoor", model: "Dart N", kind: :stick, relative: dart, by: owner,
      at: NOW)
    seen = Services::BeginDraft.fresh(maker: "Ostrel", model: "Trough 4", kind: :upright, dust: :bag, roll: :soft,
      by: owner, at: NOW)

    assert_includes seen.content["positions"].map { |place| place["kind"] }, "bag"
    plain = Services::BeginDraft.fresh(maker: "Ostrel", model: "Trough 3", kind: :drum, by: owner, at: NOW)

    assert_equal dart.to_core.positions, relative.to_core.positions
    assert_equal %i[drum mains], plain.to_core.then { |core| [core.kind, core.power] }
    assert_equal "Hallmoor Dart N", keep(relative).title
    assert_raises(Services::Invalid) do
      Services::BeginDraft.fresh(maker: "Hallmoor", model: "Dart N", kind: :stick, by: owner, at: NOW)
    end
    assert_raises(Core::Sheets::Invalid) do
      Services::BeginDraft.fresh(maker: "Hallmoor", model: " ", kind: :stick, by: owner, at: NOW)
    end
  end

  def test_a_renamed_model_keeps_what_fits_it_and_may_not_take_anothers_name
    rules = Models::FitRule.where(model_title: "Hallmoor Dart M").count
    mine = edit(draft) { |edit| edit.head("model" => "Dart M2") }
    keep(mine)

    assert_operator rules, :>, 0
    assert_equal rules, Models::FitRule.where(model_title: "Hallmoor Dart M2").count
    other = edit(draft) { |edit| edit.head("maker" => "Ostrel", "model" => "Stride 36") }

    assert_raises(Services::Invalid) { keep(other) }
  end

  def test_a_job_goes_on_with_the_newest_sheet_when_asked
    job = take_in
    keep(edit(draft) { |edit| edit.head("warranty_months" => 60) })
    Services::AdoptSheet.call(job.number, by: technician, at: NOW)

    assert_equal 60, Models::Job.with_pk!(job.id).sheet.warranty_months
    assert_equal "went on with the newest sheet", Models::Event.where(job_id: job.id).order(:id).last.verb
  end

  def test_a_job_keeps_its_sheet_when_the_newest_lost_a_place_it_recorded
    job = take_in
    record(job, "post-filter", { grey: 1 })
    keep(edit(draft) { |edit| edit.take_out("positions", "post-filter") })

    assert_match(/has no .*post/i, assert_raises(Services::Refused) do
      Services::AdoptSheet.call(job.number, by: technician, at: NOW)
    end.message)
  end

  def test_a_finished_job_keeps_its_sheet
    job = take_in
    job.update(state: "handed_over", handed_over_at: NOW)
    keep(edit(draft) { |edit| edit.head("warranty_months" => 60) })

    assert_raises(Services::Refused) { Services::AdoptSheet.call(job.number, by: technician, at: NOW) }
  end
end
