# frozen_string_literal: true

require_relative "../../core_helper"

class FaultDebriefTest < CoreTest
  include UprightBench::Core

  def look(key, minutes, needs: [])
    Faults::Check.new(key: key, place: key, name: key, act: "look", sign: "seen", minutes: minutes, needs: needs,
      shows: { "#{key}:bad" => 1.0 })
  end

  # The worked example of the orders: hose 4, wand 3, seal 5, motor 10 behind a lid of 2.
  def search
    weights = { "wand" => 0.2, "hose" => 0.3, "seal" => 0.2, "motor" => 0.25 }
    causes = weights.map do |key, weight|
      Faults::Cause.new(key: "#{key}:bad", place: key, part: :path, fault: bad, name: key, weight: weight)
    end
    Faults::Search.new(causes: causes, openings: [Faults::Opening.new(key: "lid", name: "Lid", minutes: 2.0)],
      checks: [look("wand", 3), look("hose", 4), look("seal", 5), look("motor", 10, needs: %w[lid])])
  end

  def bad
    Kinds::Path.faults.fetch(:blocked).with(key: :bad)
  end

  def test_what_it_took
    debrief = Faults::Debrief.new(search, [["motor", :clear], ["hose", :found]], ["hose:bad"])

    assert_in_delta 16.0, debrief.minutes
    assert_in_delta 4.0, debrief.with_hindsight
    assert_in_delta 12.0, Faults::Debrief.new(search, [], ["motor:bad"]).with_hindsight
    # hose 4, wand 0.7 · 3, seal 0.5 · 5, motor with its lid 0.3 · 12
    assert_in_delta 12.2, debrief.best_on_average
  end

  # The motor first, with its lid: 12 and then 0.75 · 4 + 0.45 · 3 + 0.25 · 5, which is 17.6 for 12.2.
  def test_which_step_cost_most
    dearest = Faults::Debrief.new(search, [["motor", :clear], ["hose", :found]], ["hose:bad"]).dearest

    assert_equal %w[motor hose], [dearest.check.key, dearest.better.key]
    assert_in_delta 17.6 - 12.2, dearest.minutes
    assert_nil Faults::Debrief.new(search, [["hose", :found]], ["hose:bad"]).dearest
  end
end
