# frozen_string_literal: true

require_relative "../test_helper"

# What a sheet counts is counted by its own events: bags by bags, washes by washes.
class CountClocksTest < DatabaseTest
  PLACE = "motor-filter"

  # A filter that is washed, and changed every four bags (common practice), of 13 hours each.
  def setup
    content = JSON.parse(JSON.generate(sheet("Brackwater Loft C").current_version.content))
    place = content["positions"].find { |position| position["key"] == PLACE }
    place.merge!("water" => "cold", "drying_floor_hours" => 24)
    Services::AddSheet.call(content, by: owner, at: NOW, sheet: sheet("Brackwater Loft C"))
    @machine = new_machine("Brackwater Loft C", bought_on: today - 10)
    @machine.update(hours_per_week: 1)
    fit(PLACE, today - 10)
  end

  def fit(place, on)
    Services::FitAtHome.call(@machine, { place => nil }, on: on, by: owner, at: NOW)
  end

  def due
    Models::Due.running.first(machine_id: @machine.id, position: PLACE, task: "replace")
  end

  def so_far
    due.why.first.figures[:counted]
  end

  # @param days [Integer] from now
  def wash(days)
    job = settled({ PLACE => { grey: 4 } }, machine: @machine, at: in_days(days))
    Services::DoWorkItem.call(job.number, item(job, PLACE).id, by: technician, at: in_days(days))
    close_job(job, at: in_days(days), wet_reason: "blown dry")
    Services::HandOver.call(job.number, counted_out: {}, way: "cash", by: technician, at: in_days(days))
  end

  def test_washes_are_no_bags
    before = due.due_on
    3.times do |times|
      wash(times)

      washed = Models::Fitting.in_place.first(machine_id: @machine.id, position: PLACE).wash_count

      assert_equal [times + 1, nil], [washed, so_far]
    end

    assert_equal "wash", Models::WorkItem.reverse(:id).first.action
    assert_operator due.due_on, :>=, before
  end

  def test_bags_are
    whole = due.due_on - due.started_on
    fit("bag", today)

    assert_equal [1, today + (whole * 3 / 4).floor], [so_far, due.due_on], "three of four are to come"
    fit("bag", today)
    fit("bag", today)

    assert_equal [3, today + (whole / 4).floor], [so_far, due.due_on]
  end

  # It went in with the filter, and is the first of the four.
  def test_the_bag_that_went_in_with_it_does_not_count
    before = due.due_on
    fit("bag", today - 10)

    assert_equal [nil, before], [so_far, due.due_on]
  end

  # What was taken for bags until now is set right by the worker, with the reason.
  def test_what_was_counted_wrong_is_computed_again_with_the_reason
    was = due.due_on
    due.update(due_on: today + 20, early_on: today + 10, late_on: today + 30)
    Services::SetClocks.again([@machine], on: today, why: "bags are counted")

    assert_equal [was, today + 20, "bags are counted"],
      [due.due_on, *due.changes.first.values.values_at(:was_on, :reason)]
  end
end
