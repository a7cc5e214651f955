# frozen_string_literal: true

# Group: slow (a simulation)
# Needs: minizinc

require_relative "../core_helper"
require_relative "../../measure/exact/solver"

# Promises against an exact solver, in small shops; all 200 by `bin/rake promises:exact`.
class ExactPromiseSimulation < CoreTest
  SHOPS = (1..12) # of which the fourth and the ninth are not solved to the end
  SECONDS = 5

  def test_no_promise_could_have_been_sooner
    answers = SHOPS.map do |seed|
      UprightBench::Measure::Exact::Solver.new(UprightBench::Measure::Exact::SmallShop.new(seed)).call(seconds: SECONDS)
    end

    assert_operator answers.count(&:proven), :>=, SHOPS.size / 2
    assert_empty(answers.select { |answer| answer.gap > 0.05 })
  end
end
