# frozen_string_literal: true

module UprightBench
  module Services
    # Searches for the service days of a customer, and keeps the last answers in memory: the page, the paper and the
    # calendar of one plan ask for the same search one after the other. An answer is kept under everything that the
    # search depends on: the tasks with their dates and intervals, the window, today, and the shop's open days.
    class FoundDays
      MOST = 20 # customers with many machines whose plans are looked at in turn
      Found = Struct.new(:days, :least)
      # @!attribute indexes [Array<Integer>] of its tasks, in the list of all tasks
      Day = Struct.new(:date, :indexes)

      def initialize
        @found = {}
        @lock = Mutex.new
      end

      # @param tasks [Array<Core::Year::Task>]
      # @param window_days [Integer] that a task may be done early
      # @param today [Date]
      # @param until_on [Date]
      # @param open_day [#call] as Core::Year::Plan takes it
      # @return [Found]
      def of(tasks, window_days:, today:, until_on:, open_day:)
        key = [tasks.map { |task| [task.place, task.action, task.due_on, task.interval_days] }, window_days, today,
               open_days(today, until_on, open_day)]
        kept(key) || keep(key, search(tasks, window_days: window_days, today: today, until_on: until_on,
          open_day: open_day))
      end

      private

      # After the last day of the plan too: the search looks there for the next open day.
      def open_days(today, until_on, open_day)
        (today..(until_on + Core::Year::Horizon::MOST_CLOSED)).map { |day| open_day.call(day) }
      end

      # Puts the answer behind the others, so that `keep` drops it last.
      def kept(key)
        @lock.synchronize { @found.delete(key)&.tap { |found| @found[key] = found } }
      end

      def keep(key, found)
        @lock.synchronize do
          @found[key] = found
          @found.shift if @found.size > MOST
        end
        found
      end

      def search(tasks, **within)
        plan = Core::Year::Plan.new(tasks: tasks, **within)
        indexes = {}.compare_by_identity
        tasks.each_with_index { |task, index| indexes[task] = index }
        days = plan.service_days.map { |day| Day.new(day.date, day.tasks.map { |task| indexes.fetch(task) }) }
        Found.new(days, plan.least)
      end
    end
  end
end
