# frozen_string_literal: true

# Group: slow (plans made anew, many times)

require_relative "plan_helper"

class BenchAnewTest < CoreTest
  include PlanHelper

  def standing(*chains, people: 1)
    Bench::Standing.new(placed(problem(shop(people: people), *chains)))
  end

  def anew(before, moves: 80)
    Bench::Standing.new(Bench::Anew.new(before).call(moves: moves))
  end

  def test_what_can_be_kept_does_not_wait_for_what_is_lost
    before = standing(chain(1, operation(60, dry_minutes: 1200), 10, promise: 100), chain(2, 50, promise: 100))

    assert_equal [[1, 2], [1]], [before, anew(before)].map { |plan| plan.in_danger.sort }
  end

  # By 135 the first is ready for certain, and eight times of ten where the other goes first: less often than nine, and
  # not in danger.
  def test_one_becomes_less_sure_so_that_another_is_kept
    before = standing(chain(1, operation(60, spread: 0.2), promise: 135),
      chain(2, operation(60, spread: 0.2), promise: 115))
    after = anew(before)

    assert_equal [[2], []], [before, after].map(&:in_danger)
    assert_equal [1.0, 0.8], [before, after].map { |plan| plan.shares.fetch(1).round(1) }
  end

  # Promised by a plan, of which somebody then does the last first.
  def the_wrong_way_round(random)
    chains = (1..6).map { |number| random_chain(random, number) }
    plan = standing(*chains, people: 2)
    work = problem(shop(people: 2), *chains.map { |one| one.with(promise: plan.ready_by(one.number) + 20) })
    Bench::Standing.new(placed(work, work.steps.sort_by { |step| [-step.job, step.index] }.map(&:index)))
  end

  def test_most_promises_are_saved_and_none_comes_into_danger_for_another
    in_danger = [0, 0]
    for_all(times: 12) do |random|
      before = the_wrong_way_round(random)
      after = anew(before)
      in_danger = in_danger.zip([before, after]).map { |sum, plan| sum + plan.in_danger.size }

      assert_empty after.in_danger - before.in_danger
    end

    assert_operator in_danger.last, :<, in_danger.first / 3
  end

  def test_nothing_is_moved_about_for_a_few_minutes
    before = standing(chain(1, 24), chain(2, 12)) # the other order is better by twelve minutes

    assert_equal before.schedule, anew(before).schedule
    slower = standing(chain(1, 40), chain(2, 12))

    assert_equal [52, 12], anew(slower).schedule.readies
  end
end
