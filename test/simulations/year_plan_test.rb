# frozen_string_literal: true

require_relative "../core_helper"

# Plans of a year against every set of days that there is, in small; and in large, that nothing is ever overdue.
class YearPlanSimulation < CoreTest
  PLANS = Integer(ENV.fetch("PLANS", "200"))
  START = Date.new(2026, 3, 2)

  # Every set of days is tried, and on it every way to do what comes round: no fewer days would do, and no less would
  # be done early.
  class Exhaustive
    def initialize(tasks, last, window)
      @places = tasks.group_by(&:place).values
      @last = last
      @window = window
    end

    # @return [Array(Integer, Integer)] fewest days, and the least days early
    def call
      (0..(@last + 1)).each do |count|
        early = (0..@last).to_a.combination(count).filter_map { |days| early(days) }.min
        return [count, early] if early
      end
    end

    def early(days)
      @places.sum do |tasks|
        least(tasks, tasks.map { |task| [(task.due_on - START).to_i, 0].max }, days) or return nil
      end
    end

    # @param dues [Array<Integer>] of the tasks of a place, when the days before were over
    # @return [Integer, nil] days early at the least; nil when it cannot be done on these days
    def least(tasks, dues, days)
      return (0 if dues.all? { |due| due > @last }) if days.empty?
      return if dues.any? { |due| due < days.first } # one was overdue by then

      open = tasks.each_index.select { |at| days.first.between?(dues[at] - tasks[at].window_days(@window), dues[at]) }
      (0..open.size).flat_map { |count| open.combination(count).to_a }
        .filter_map { |done| after(tasks, dues, days, done) }.min
    end

    def after(tasks, dues, days, done)
      day = days.first
      covered = done.flat_map do |at|
        tasks.each_index.select { |other| UprightBench::Core::Clocks::Task.covers?(tasks[at].action, tasks[other].action) }
      end
      following = dues.each_with_index.map do |due, at|
        (done | covered).include?(at) ? day + tasks[at].interval_days : due
      end
      return if following.any? { |due| due <= day }

      rest = least(tasks, following, days.drop(1))
      rest && (rest + (done - covered).sum { |at| due_in_time(dues[at], day) })
    end

    # What falls due after the end need not be done, and costs nothing.
    def due_in_time(due, day)
      due > @last ? 0 : due - day
    end
  end

  def task(what, due_in, interval, place: what, action: :replace)
    Year::Task.new(machine: 1, what: what, due_on: START + due_in, interval_days: interval, place: place,
      action: action)
  end

  def random_tasks(random)
    Array.new(random.rand(2..4)) do |number|
      interval = random.rand(5..16)
      place = random.rand < 0.3 ? 0 : number
      task(number.to_s, random.rand(-2..interval), interval, place: place,
        action: %i[replace wash].sample(random: random))
    end.uniq { |task| [task.place, task.action] }
  end

  def test_small_plans_against_every_set_of_days
    PLANS.times do |seed|
      tasks = random_tasks(Random.new(seed))
      plan = Year::Plan.new(tasks: tasks, window_days: 3, today: START, until_on: START + 15)
      fewest, early = Exhaustive.new(tasks, 15, 3).call

      assert_equal [fewest, true], [plan.service_days.size, plan.best?], "seed #{seed}"
      assert_equal early, days_early(plan, tasks), "seed #{seed}"
    end
  end

  # Counted from the days themselves.
  def days_early(plan, tasks)
    due = tasks.to_h { |task| [task.what, [task.due_on, START].max] }
    plan.service_days.sum do |day|
      early = day.tasks.sum { |task| due[task.what] > START + 15 ? 0 : (due[task.what] - day.date).to_i }
      day.tasks.each do |done|
        tasks.select { |task| task.place == done.place && (task == done || covers?(done, task)) }
          .each { |task| due[task.what] = day.date + task.interval_days }
      end
      early
    end
  end

  def covers?(done, other)
    UprightBench::Core::Clocks::Task.covers?(done.action, other.action)
  end

  # A fleet: however many there are, nothing is overdue, and it is said how near it is to the fewest there can be.
  def test_a_large_fleet_is_done_in_time
    random = Random.new(7)
    tasks = Array.new(30) do |number|
      interval = [90, 120, 180, 365].sample(random: random)
      task(number.to_s, random.rand(1..interval), interval)
    end
    plan = Year::Plan.new(tasks: tasks, window_days: 45, today: START, until_on: START + 365)
    done = tasks.to_h { |task| [task.what, [task.due_on - task.interval_days]] }
    plan.service_days.each { |day| day.tasks.each { |task| done[task.what] << day.date } }

    tasks.each do |task|
      assert_operator done[task.what].each_cons(2).map { |before, day| day - before }.max, :<=, task.interval_days
      assert_operator done[task.what].last + task.interval_days, :>, START + 365
    end
    assert_operator plan.least, :<=, plan.service_days.size
  end
end
