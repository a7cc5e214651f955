# frozen_string_literal: true

require_relative "plan_helper"

class BenchImproveTest < CoreTest
  include PlanHelper

  def better(schedule, aim, **more)
    Bench::Improve.new(Bench::Placing.new(schedule.problem), aim, **more).call(schedule, moves: 80)
  end

  def test_first_no_promise_is_broken_then_all_are_ready_soonest
    work = problem(shop, chain(1, 60), chain(2, 20), chain(3, 40))
    late = Bench::Aim.new(work, limits: { 0 => 60 })
    free = Bench::Aim.new(work, limits: {})

    assert_equal [60, 80, 120], better(placed(work, [1, 2, 0]), late).readies
    assert_equal [120, 20, 60], better(placed(work), free).readies # shortest first (Smith 1956)
  end

  def test_where_one_is_broken_already_the_others_come_first
    work = problem(shop, chain(1, 60, promise: 30), chain(2, 60))
    aim = Bench::Aim.new(work, limits: { 0 => 30, 1 => 60 }, broken: [0])

    assert_equal [0, 1, 90, 0, 180], aim.cost(placed(work, [1, 0]))
    assert_equal [60, 1, 30, 0, 180], aim.cost(placed(work))
    assert_equal [120, 60], better(placed(work), aim).readies
  end

  def test_what_is_pinned_stays_and_nothing_gets_worse
    for_all(times: 15) do |random|
      pinned = chain(1, operation(30, pinned: true, technician: 1, not_before: 100))
      chains = (2..6).map { |number| random_chain(random, number) }
      work = problem(shop(people: 2), pinned, *chains)
      aim = Bench::Aim.new(work, limits: {})
      before = placed(work)
      after = better(before, aim)

      assert_equal [100, 0], [after.starts[0], after.people[0]]
      assert_operator (aim.cost(after) <=> aim.cost(before)), :<=, 0
    end
  end

  # Two promises are broken whatever is done; what nothing is promised for waits a day for them, and no longer.
  def test_what_nothing_is_promised_for_does_not_wait_for_ever
    late = (1..40).map { |number| chain(number, 60, promise: 10) }
    work = problem(shop, *late, chain(99, 20))
    standing = Bench::Standing.new(placed(work))
    after = better(standing.schedule, Bench::Aim.of(standing), focus: 40)

    assert_operator after.ready(40), :<, 2 * 1440
  end

  # One is lost, by a day; another, which somebody has put behind it, is late by minutes.
  def test_what_can_be_kept_after_all_does_not_wait_for_what_is_lost
    work = problem(shop, chain(1, operation(60, dry_minutes: 1200), 10, promise: 100), chain(2, 50, promise: 100))
    standing = Bench::Standing.new(placed(work))
    after = better(standing.schedule, Bench::Aim.of(standing))

    assert_equal [[1, 2], [1]], [standing, Bench::Standing.new(after)].map { |plan| plan.in_danger.sort }
  end

  # The last of a job is pinned, and what comes before it is not.
  def test_what_comes_before_what_is_pinned_stays_before_it
    for_all(times: 15) do |random|
      first, last = Array.new(2) { operation(random.rand(10..60)) }
      pinned = chain(1, first, last.with(pinned: true, technician: 1, not_before: 300))
      work = problem(shop(people: 2), pinned, *(2..6).map { |number| random_chain(random, number) })
      kept = Bench::Kept.of(placed(work))
      after = better(placed(work, kept.order(work)), Bench::Aim.new(work, limits: {}), focus: 0)

      assert_equal 300, after.starts[1]
      assert_operator after.ends[0], :<=, 300
    end
  end

  def test_the_kept_order_comes_back_as_it_was
    for_all(times: 15) do |random|
      work = problem(shop(people: 2), *(1..6).map { |number| random_chain(random, number) })
      schedule = better(placed(work), Bench::Aim.new(work, limits: {}))
      kept = Bench::Kept.of(schedule)

      assert_equal schedule.starts, placed(work, kept.order(work), kept.given(work)).starts
    end
  end

  def test_what_is_new_in_an_order_stands_where_its_latest_start_comes
    old = [chain(1, 60, promise: 400), chain(3, 60, promise: 900)]
    kept = Bench::Kept.of(placed(problem(shop, *old)))
    work = problem(shop, *old, chain(2, 30))
    order = kept.order(work, { 0 => 400, 1 => 600, 2 => 840 })

    assert_equal [1, 2, 3], order.map { |step| work.chains[work.steps[step].job].number }
    assert_equal [1, 3, 2], kept.order(work).map { |step| work.chains[work.steps[step].job].number }
  end
end
