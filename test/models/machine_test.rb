# frozen_string_literal: true

require_relative "../test_helper"

class MachineTest < DatabaseTest
  # Terms of the sheet: 24 months.
  def test_warranty_runs_from_the_day_it_was_bought_new
    assert_predicate new_machine(bought_on: today - 100).warranty(today), :in?
    refute_predicate new_machine(bought_on: today << 24).warranty(today), :in?
    assert_predicate new_machine(bought_on: (today << 24) + 1).warranty(today), :in?
    refute_predicate new_machine(bought_on: nil).warranty(today), :in?
    second_hand = new_machine(bought_on: today - 100).update(second_hand: true)

    refute_predicate second_hand.warranty(today), :in?
  end

  def test_a_stored_machine_does_not_run_whatever_was_said
    machine = new_machine.update(hours_per_week: 5)

    assert_in_delta 5.3, machine.use_rate(today).mean
    assert_predicate machine.update(state: "stored").use_rate(today), :zero?
  end
end
