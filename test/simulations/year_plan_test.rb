# frozen_string_literal: true

# Group: slow (a simulation)

require_relative "../core_helper"
require_relative "../support/small_plans"

# Plans of a year against every set of days that there is, in small; and in large, that nothing is ever overdue.
class YearPlanSimulation < CoreTest
  PLANS = Integer(ENV.fetch("PLANS", "200"))
  include SmallPlans

  def test_small_plans_against_every_set_of_days
    PLANS.times { |seed| check_small_plan(seed) }
  end

  # A fleet: however many there are, nothing is overdue, and it is said how near it is to the fewest there can be.
  def test_a_large_fleet_is_done_in_time
    random = Random.new(7)
    tasks = Array.new(30) do |number|
      interval = [90, 120, 180, 365].sample(random: random)
      task(number.to_s, random.rand(1..interval), interval)
    end
    plan = Year::Plan.new(tasks: tasks, window_days: 45, today: MONDAY, until_on: MONDAY + 365)
    done = tasks.to_h { |task| [task.what, [task.due_on - task.interval_days]] }
    plan.service_days.each { |day| day.tasks.each { |task| done[task.what] << day.date } }

    tasks.each do |task|
      assert_operator done[task.what].each_cons(2).map { |before, day| day - before }.max, :<=, task.interval_days
      assert_operator done[task.what].last + task.interval_days, :>, MONDAY + 365
    end
    assert_operator plan.least, :<=, plan.service_days.size
  end
end
