# frozen_string_literal: true

# Group: slow (a simulation)

require_relative "../core/bench/plan_helper"

# Shops that are filled machine by machine, three times fuller than one would be; ARRIVALS=10000 for as many machines.
class NoPromiseBrokenSimulation < CoreTest
  include PlanHelper

  EACH = 20 # machines a shop
  SHOPS = Integer(ENV.fetch("ARRIVALS", "60")) / EACH

  def test_no_new_job_breaks_a_promise
    for_all(times: SHOPS) do |random|
      here = shop(people: random.rand(1..3), slots: Array.new(random.rand(6..12)) { Bench::Slot.new(size: 1) })
      chains = []
      kept = Bench::Kept.new
      EACH.times do |number|
        asked = random_chain(random, number)
        answer = Bench::TakeIn.new(shop: here, chains: chains, chain: asked, kept: kept).call

        assert_empty(answer.shares.select { |_, share| share < 0.9 })
        chains << asked.with(promise: answer.by + random.rand(0..60))
        kept = Bench::Kept.of(answer.schedule)
      end
    end
  end
end
