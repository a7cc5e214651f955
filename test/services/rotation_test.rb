# frozen_string_literal: true

require_relative "../test_helper"

# A spare in rotation: the machine does not wait for the wash, and the washed one is fitted the next time.
class RotationTest < DatabaseTest
  def setup
    @machine = new_machine(bought_on: today - 2000)
    @filter = part("HD-2010")
  end

  def looked_over
    @job = take_in(@machine)
    record(@job, "pre-filter", { grey: 5 })
    Services::FinishLookOver.call(@job.number, by: technician, at: NOW)
  end

  def choose(choice)
    Services::ChoosePart.call(@job.number, item(@job, "pre-filter").id, choice: choice, by: technician, at: NOW)
  end

  def settle_and_work
    Services::Settle.call(@job.number, agreed_name: "Wendel", agreed_how: "phone", by: technician, at: NOW)
    do_all(@job)
  end

  def leave_shop
    close_job(@job)
    Services::HandOver.call(@job.number, by: technician, at: NOW)
  end

  def rotate
    looked_over
    choose("rotate-#{@filter.id}")
    settle_and_work
  end

  def spare
    Models::Spare.waiting.first(machine_id: @machine.id, position: "pre-filter")
  end

  # On open days: over a weekend what is washed dries as well.
  def test_the_promise_does_not_wait_and_the_price_is_that_of_the_new_one
    always_open
    looked_over
    waits = @job.refresh.promise_at
    choose("rotate-#{@filter.id}")
    before = @filter.stock
    settle_and_work

    assert_operator @job.refresh.promise_at, :<, waits
    assert_includes Services::Quotes.agreed(@job).to_lines.map(&:price_cents), 1650
    assert_equal before - 1, @filter.refresh.stock
    assert item(@job, "pre-filter").on_rack, "the one that came out dries"
    assert_equal "in_work", @job.refresh.state
  end

  def test_it_is_closed_up_while_the_spare_dries_and_taken_off_later
    rotate
    leave_shop
    stay = item(@job, "pre-filter").on_rack

    assert_equal [nil, "handed_over"], @job.refresh.values.values_at(:wet_reason, :state)
    Services::TakeOffRack.call(stay.id, by: technician, at: stay.dry_at)

    assert_equal "handed_over", @job.refresh.state
    assert_equal 1, spare.wash_count
  end

  def test_the_next_time_the_spare_goes_in_for_nothing_and_the_other_becomes_the_spare
    rotate
    leave_shop
    looked_over
    before = @filter.stock
    choose("own")
    settle_and_work
    leave_shop

    assert_equal before, @filter.refresh.stock
    assert_empty(Services::Quotes.agreed(@job).to_lines.select { |line| line.kind == :part })
    fitted = Models::Fitting.in_place.first(machine_id: @machine.id, position: "pre-filter")

    assert_equal [nil, 1], [fitted.part_id, fitted.wash_count]
    assert_equal [@filter.id, 1], [spare.part_id, spare.wash_count]
  end

  # What goes in the second time was washed, not bought: when it is to be replaced follows the new one of the first
  # time.
  def test_the_spare_is_washed_and_not_new
    rotate
    leave_shop
    before = Models::Due.running.where(machine_id: @machine.id, position: "pre-filter").to_hash(:action, :cycle)
    looked_over
    choose("own")
    settle_and_work
    leave_shop
    after = Models::Due.running.where(machine_id: @machine.id, position: "pre-filter").to_hash(:action, :cycle)

    assert_equal before["wash"] + 1, after["wash"]
    assert_equal before.fetch("replace"), after.fetch("replace")
  end

  def test_undone_it_is_on_the_shelf_and_off_the_rack
    rotate
    before = @filter.stock
    Services::UndoWorkItem.call(@job.number, item(@job, "pre-filter").id, by: technician, at: NOW)

    assert_equal before + 1, @filter.refresh.stock
    assert_nil item(@job, "pre-filter").on_rack
  end

  def test_what_cannot_be
    looked_over

    assert_match(/no spare/, assert_raises(Services::Refused) { choose("own") }.message)
    choose("rotate-#{@filter.id}")
    choose("wash")

    refute item(@job, "pre-filter").rotates
  end
end
