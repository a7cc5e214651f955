# frozen_string_literal: true

require_relative "every_set_of_days"

# Plans that are small enough to be tried against every set of days.
module SmallPlans
  def task(what, due_in, interval, place: what, action: :replace)
    UprightBench::Core::Year::Task.new(machine: 1, what: what, due_on: CoreTest::MONDAY + due_in,
      interval_days: interval, place: place, action: action)
  end

  def random_tasks(random)
    Array.new(random.rand(2..4)) do |number|
      interval = random.rand(5..16)
      place = random.rand < 0.3 ? 0 : number
      task(number.to_s, random.rand(-2..interval), interval, place: place,
        action: %i[replace wash].sample(random: random))
    end.uniq { |task| [task.place, task.action] }
  end

  # Counted from the days themselves.
  def days_early(plan, tasks)
    due = tasks.to_h { |task| [task.what, [task.due_on, CoreTest::MONDAY].max] }
    plan.service_days.sum do |day|
      early = day.tasks.sum { |task| due[task.what] > CoreTest::MONDAY + 15 ? 0 : (due[task.what] - day.date).to_i }
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

  # Fails unless the plan of a seed has the fewest days there are, and the least done early.
  def check_small_plan(seed)
    tasks = random_tasks(Random.new(seed))
    plan = UprightBench::Core::Year::Plan.new(tasks: tasks, window_days: 3, today: CoreTest::MONDAY,
      until_on: CoreTest::MONDAY + 15)
    fewest, early = EverySetOfDays.new(tasks, 15, 3).call

    assert_equal [fewest, true], [plan.service_days.size, plan.best?], "seed #{seed}"
    assert_equal early, days_early(plan, tasks), "seed #{seed}"
  end
end
