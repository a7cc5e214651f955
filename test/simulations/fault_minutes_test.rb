# frozen_string_literal: true

# Group: slow (a simulation)

require "json"
require_relative "../core_helper"

class FaultMinutesSimulation < CoreTest
  # What costs a minute comes first, in no order.
  FIRST = [["settings", :clear], ["lights", :cannot_tell]].freeze
  SHEET = File.join(CoreAlone::ROOT, "demo/sheets/hallmoor-dart-m.json")

  # What it says it will take, it takes on average (2,000 simulated machines, within four standard errors).
  def test_the_minutes_that_it_promises
    found = Faults::PlanSearch.new(Sheets::Parse.new(JSON.parse(File.read(SHEET))).call, :brush_does_not_turn).call
    step = Faults::Ladder.new(found, FIRST).next_step
    random = Random.new(7)
    belief = Faults::Ladder.new(found, FIRST).belief.to_h
    minutes = Array.new(2000) { minutes_to_find(found, draw(belief, random)) }
    mean = minutes.sum / minutes.size
    error = Math.sqrt(minutes.sum { |one| (one - mean)**2 } / (minutes.size - 1.0) / minutes.size)

    assert_equal :exact, step.how
    assert_in_delta step.to_go, mean, 4 * error
  end

  def draw(belief, random)
    point = random.rand
    key = belief.find { |_, share| (point -= share) <= 0 }&.first
    Faults::Simulated.new([key].compact, -> { random.rand })
  end

  def minutes_to_find(found, machine)
    results = FIRST
    loop do
      ladder = Faults::Ladder.new(found, results)
      step = ladder.next_step
      return ladder.spent - Faults::Ladder.new(found, FIRST).spent unless step

      results += [[step.check.key, machine.answer(step.check)]]
    end
  end
end
