# frozen_string_literal: true

# Group: slow (every set of days)

require_relative "../../core_helper"
require_relative "../../support/small_plans"

class YearlyPlanTest < CoreTest
  include SmallPlans

  def plan(*tasks, window: 30, days: 365, **more)
    Year::Plan.new(tasks: tasks, window_days: window, today: MONDAY, until_on: MONDAY + days, **more)
      .service_days.map { |service_day| [(service_day.date - MONDAY).to_i, service_day.tasks.map(&:what)] }
  end

  # Worked by hand.
  def test_what_falls_due_within_the_window_is_done_together_on_the_earliest_date
    assert_equal [[10, %w[a b]], [80, %w[c]]], plan(task("a", 10, 400), task("b", 35, 400), task("c", 80, 400))
  end

  def test_it_comes_round_again
    assert_equal [[50, %w[a]], [150, %w[a]], [250, %w[a]], [350, %w[a]]], plan(task("a", 50, 100))
  end

  def test_nothing_is_done_earlier_than_a_quarter_of_its_interval
    assert_equal [[10, %w[a]], [35, %w[b]]], plan(task("a", 10, 400), task("b", 35, 90), days: 40)
  end

  # Worked by hand: a new filter on day 40 needs no wash on that day, and the wash of day 60 begins anew with it.
  def test_a_new_part_is_not_washed_as_well
    filter = { place: "filter" }
    wash = task("wash", 60, 60, action: :wash, **filter)

    assert_equal [[40, %w[new]], [100, %w[wash]], [160, %w[wash]]],
      plan(task("new", 40, 400, **filter), wash, days: 200)
    assert_equal [[40, %w[new]], [100, %w[wash]]], plan(task("new", 40, 400, **filter), wash.with(due_on: MONDAY + 45),
      days: 120)
    assert_equal [[40, %w[new wash]], [100, %w[wash]]], plan(task("new", 40, 400),
      wash.with(due_on: MONDAY + 45, place: "other"), days: 120)
  end

  def test_what_is_overdue_is_done_today
    assert_equal [[0, %w[a b]]], plan(task("a", -50, 400), task("b", 3, 400))
  end

  # By trying every set of days, for small cases: no fewer service days would do.
  def test_no_fewer_days_would_do
    random = Random.new(4610)
    20.times do
      dues = Array.new(6) { random.rand(1..120) }
      service_days = plan(*dues.map { |due| task(due.to_s, due, 4000) }, window: 20, days: 130)
      fewest = (1..6).find do |count|
        dues.uniq.combination(count)
          .any? { |days| dues.all? { |due| days.any? { |day| day.between?(due - 20, due) } } }
      end

      assert_equal fewest, service_days.size, dues.inspect
    end
  end

  # More of them in test/simulations.
  def test_small_plans_are_the_best_there_are
    5.times { |seed| check_small_plan(1000 + seed) }
  end

  # A week that is closed, and what falls due in it is done before; what is due on the first days, after.
  def test_closed_weeks
    closed = ->(day) { (day - MONDAY).to_i.between?(10, 16) ? MONDAY + 9 : day }
    first = ->(day) { [day, MONDAY + 3].max }

    assert_equal [[9, %w[a]]], plan(task("a", 12, 400), days: 60, open_day: closed)
    assert_equal [[3, %w[a]]], plan(task("a", 0, 400), days: 60, open_day: first)
  end

  # Closed for good, as a shop with a slip in its rules may seem to be: something due is still given a day.
  def test_no_open_day_at_all
    horizon = Year::Horizon.new(today: MONDAY, until_on: MONDAY + 30, open_day: ->(day) { day - 1 })

    assert_equal 6, horizon.latest(3, 5)
    every_tenth = ->(day) { day - ((day - MONDAY) % 10) }

    assert_equal 10, Year::Horizon.new(today: MONDAY, until_on: MONDAY + 30, open_day: every_tenth).latest(3, 5)
  end

  def test_nothing_due_needs_no_day
    assert_empty plan(task("a", 100, 400), days: 60)
    assert_empty plan
  end

  def test_in_time_and_on_open_days
    service_days = plan(task("a", 5, 7), task("b", 6, 10), days: 120,
      open_day: ->(day) { day.sunday? ? day - 1 : day })

    assert(service_days.none? { |days, _| (MONDAY + days).sunday? })
    assert(service_days.each_cons(2).all? { |(first, _), (second, _)| second > first })
  end
end
