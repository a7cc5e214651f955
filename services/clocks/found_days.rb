# frozen_string_literal: true

module UprightBench
  module Services
    # The service days that were found for the tasks of a customer, kept for who asks again: the page, its paper and its
    # calendar follow one another, and a search takes seconds. What was found depends on nothing but the tasks' dates
    # and the shop's open days; whatever changes of those is searched anew.
    class FoundDays
      MOST = 20 # customers with many machines whose plans are looked at in turn
      Found = Struct.new(:days, :least)
      # The tasks of a day are places in the list of all tasks.
      Day = Struct.new(:date, :tasks)

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
               (today..until_on).map { |day| open_day.call(day) }]
        kept(key) || keep(key, search(tasks, window_days: window_days, today: today, until_on: until_on,
          open_day: open_day))
      end

      private

      # It is the newest again.
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
        places = {}.compare_by_identity
        tasks.each_with_index { |task, place| places[task] = place }
        days = plan.service_days.map { |day| Day.new(day.date, day.tasks.map { |task| places.fetch(task) }) }
        Found.new(days, plan.least)
      end
    end
  end
end
