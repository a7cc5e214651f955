# frozen_string_literal: true

require_relative "plan_helper"

class BehindAllTest < CoreTest
  include PlanHelper

  PART = 14_400 # minutes: somebody waits ten days for one
  NEW = 9

  # Promises that are broken as often as not, so that whatever comes in between harms somebody.
  def full_shop(random)
    chains = (1..6).map { |number| random_chain(random, number, share: 0.6) }
    by = Bench::Standing.of(problem(shop, *chains), Bench::Kept.new)
    [*chains.map { |chain| chain.with(promise: by.ready_by(chain.number), share: Bench::Chain::SHARE) },
     chain(7, operation(30, not_before: PART), promise: PART + 600)]
  end

  def taken_in(others, asked)
    standing = Bench::Standing.of(problem(shop, *others), Bench::Kept.new)
    everything = problem(shop, *others, asked)
    order = Bench::Kept.new.order(everything) - everything.steps_of[everything.job(NEW)].map(&:index)
    schedule, = Bench::BehindAll.new(problem: everything, chain: asked, order: order, given: [], standing: standing)
      .call
    [schedule, standing]
  end

  def test_it_harms_nobody_and_does_not_wait_for_the_last_of_all
    begins = []
    for_all(times: 12) do |random|
      schedule, standing = taken_in(full_shop(random), chain(NEW, operation(60, spread: 0.35)))
      begins << schedule.starts.last

      assert standing.harmless?(Bench::Replay.new(schedule))
    end

    assert_operator begins.max, :<, PART
    assert(begins.any? { |minute| minute >= 1440 }, "some go to a later day")
  end

  def test_where_nothing_else_is_to_be_done_it_is_begun_at_once
    schedule, = taken_in([], chain(NEW, 60))

    assert_equal [0], schedule.starts
  end
end
