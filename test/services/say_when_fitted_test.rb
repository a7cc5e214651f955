# frozen_string_literal: true

require_relative "../test_helper"

# A part of which nobody knew since when it was in.
class SayWhenFittedTest < DatabaseTest
  def setup
    super
    @machine = new_machine("Corvane Drum 30", bought_on: nil)
    Services::SetClocks.call(@machine, on: today - 30)
    @job = take_in(@machine)
  end

  def say(on, position: "exhaust-filter")
    Services::SayWhenFitted.call(@job.number, position, on: on, by: technician, at: NOW)
  end

  def due(task = "replace")
    Models::Due.running.first(machine_id: @machine.id, position: "exhaust-filter", task: task)
  end

  def test_its_clocks_run_from_there
    assert_equal "unknown", due.deciding
    say(today - 100)

    assert_equal today - 100, due.started_on
    assert_operator due.due_on, :>, today - 100
    refute_equal "unknown", due.deciding
    assert_equal "told when it was fitted", due.changes.first.reason
  end

  def test_never_changed_is_as_old_as_the_machine
    assert_match(/Nobody knows when the machine was bought/, assert_raises(Services::Refused) { say(nil) }.message)
    @machine.refresh.update(bought_on: today - 500)
    say(nil)

    assert_equal today - 500, due.started_on
  end

  def test_a_day_that_cannot_be
    assert_raises(Services::Refused) { say(today + 1) }
    @machine.refresh.update(bought_on: today - 50)

    assert_match(/before the machine was bought/, assert_raises(Services::Refused) { say(today - 60) }.message)
    @machine.refresh.update(second_hand: true)
    say(today - 60)

    assert_raises(Services::Refused) { say(today - 10) } # it is known now
  end

  def test_no_such_place
    assert_raises(Services::NotFound) { say(today, position: "nowhere") }
  end
end
