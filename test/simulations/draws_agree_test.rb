# frozen_string_literal: true

# Group: slow (a simulation)

require_relative "../core/bench/plan_helper"

class DrawsAgreeSimulation < CoreTest
  include PlanHelper

  # A quantile of one set of draws is kept in nine of ten of any others.
  def test_another_set_of_draws_agrees
    shares = []
    for_all(times: 12) do |random|
      chains = (1..8).map { |number| random_chain(random, number) }
      schedule = placed(problem(shop(people: 2), *chains))
      here, there = [Bench::Draws.usual, Bench::Draws.new(5)]
        .map { |draws| Bench::Replay.new(schedule, chances: Bench::Chances.new(draws)) }
      shares.concat(chains.map { |one| there.share(one.number, here.quantile(one.number, 0.9)) })
    end

    assert_in_delta 0.9, shares.sum / shares.size, 0.02
  end
end
