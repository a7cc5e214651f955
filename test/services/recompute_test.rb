# frozen_string_literal: true

require_relative "../test_helper"

# Dates follow what they rest on; what they were, and why they moved, is kept.
class RecomputeTest < DatabaseTest
  def setup
    @machine = new_machine("Brackwater Loft K")
    @machine.update(hours_per_week: 1)
    Services::SetClocks.call(@machine, done: { "exhaust-filter" => %i[replace] }, on: today)
  end

  def due
    Models::Due.running.first(machine_id: @machine.id, position: "exhaust-filter", action: "replace")
  end

  def changes
    Models::DueChange.where(due_id: due.id).order(:id).map { |change| [change.was_on, change.now_on, change.reason] }
  end

  def test_another_use_told_at_the_counter_moves_the_dates_at_once
    job = take_in(@machine, use: { hours_per_week: 10 })

    assert_equal today + 35, due.due_on
    assert_equal [[today + 350, today + 35, "its use was told anew at job #{job.number}"]], changes
  end

  # Read at 40 % after 100 days, the strip says 250 days from the start, and goes on saying so when the use is told anew.
  def test_a_strip_that_was_read_counts_until_the_part_is_changed
    Services::SetClocks.call(@machine, done: { "exhaust-filter" => %i[replace] }, on: today - 100)
    job = take_in(@machine, use: { hours_per_week: 1 })
    record(job, "exhaust-filter", { indicator_percent: 40 })
    Services::SetClocks.again(@machine, on: today, why: "read")
    job.refresh.update(state: "handed_over")
    take_in(@machine, use: { hours_per_week: 0.5 })

    assert_equal [today + 150, "indicator"], [due.due_on, due.deciding]
    Services::SetClocks.call(@machine, done: { "exhaust-filter" => %i[replace] }, on: today)

    refute_equal "indicator", due.deciding
  end

  def test_the_same_use_moves_nothing
    take_in(@machine, use: { hours_per_week: 1 })

    assert_empty changes
  end

  def test_a_machine_without_clocks_gets_none_at_the_counter
    other = new_machine
    take_in(other, use: { hours_per_week: 5 })

    assert_equal 0, Models::Due.where(machine_id: other.id).count
  end

  # Half the hours in the sheet are half the time; a place that is gone is followed no longer.
  def test_a_new_version_of_the_sheet_moves_every_machine_of_the_model
    content = Models::SheetVersion.with_pk!(@machine.sheet.current_version_id).content.to_hash
    halved = JSON.parse(JSON.generate(content).gsub('"kind":"hours","limit":50', '"kind":"hours","limit":25'))
    halved.delete("kits")
    halved["positions"].reject! { |place| place["key"] == "motor-filter" }
    Services::AddSheet.call(halved, by: owner, at: NOW, sheet: @machine.sheet)
    queued = DB[:que_jobs].where(job_class: "UprightBench::Services::RecomputeSheet").get(:args)
    Services::RecomputeSheet.allocate.run(*queued)

    assert_equal [today + 175, "version 2 of its sheet"], [due.due_on, changes.last.last]
    assert_equal ["ended"], Models::Due.where(machine_id: @machine.id, position: "motor-filter").select_map(:state).uniq
  end

  def test_what_was_is_never_rewritten
    take_in(@machine, use: { hours_per_week: 10 })

    assert_raises(Sequel::DatabaseError) { DB.transaction(savepoint: true) { Models::DueChange.dataset.update(reason: "x") } }
  end
end
