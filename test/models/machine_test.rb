# frozen_string_literal: true

require_relative "../test_helper"

class MachineTest < DatabaseTest
  # Terms of the sheet: 24 months.
  def test_warranty_runs_from_the_day_it_was_bought_new
    assert new_machine(bought_on: today - 100).in_warranty?(today)
    refute new_machine(bought_on: today << 24).in_warranty?(today)
    assert new_machine(bought_on: (today << 24) + 1).in_warranty?(today)
    refute new_machine(bought_on: nil).in_warranty?(today)
    second_hand = new_machine(bought_on: today - 100).update(second_hand: true)

    refute second_hand.in_warranty?(today)
  end

  def test_a_stored_machine_does_not_run_whatever_was_said
    machine = new_machine.update(hours_per_week: 5)

    assert_in_delta 5.0, machine.use_rate(today).mean
    assert_predicate machine.update(state: "stored").use_rate(today), :zero?
  end
end
