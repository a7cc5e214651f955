# frozen_string_literal: true

# Every set of days is tried, and on it every way to do what comes round: no fewer days would do, and no less would
# be done early.
class EverySetOfDays
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
      least(tasks, tasks.map { |task| [(task.due_on - CoreTest::MONDAY).to_i, 0].max }, days) or return nil
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
