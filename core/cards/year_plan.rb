# frozen_string_literal: true

module UprightBench
  module Core
    module Cards
      # A year of service days for somebody with many machines: as few days as possible on which all that falls due is
      # done in time, none of it earlier than need be.
      #
      # Each task may be done within a window before its date. The next service day is on the earliest date that is
      # left, and takes along every task whose window has opened (the fewest points that hit all intervals; a classic
      # greedy result). What was done comes round again after its interval, and so does what it covers: a part that is
      # replaced is not washed as well.
      class YearPlan
        # A task: `machine` and `what` are handed back as they came. Tasks of one `place` may cover each other by their
        # `action`.
        class Task
          include Value

          fields :machine, :what, :due_on, :interval_days, :place, :action

          private

          def check
            raise ArgumentError, "an interval takes a day at least" unless interval_days.positive?
          end
        end

        ServiceDay = Struct.new(:date, :tasks)

        WINDOW_SHARE = 0.25 # of its interval that a task may be done early, at most (house rule)
        MOST_DAYS = 400

        # @param tasks [Array<Task>]
        # @param window_days [Integer] that a task may be done early
        # @param today [Date]
        # @param until_on [Date]
        # @param open_day [#call] a day => the open day on which to come, at or before it where there is one
        def initialize(tasks:, window_days:, today:, until_on:, open_day: ->(day) { day })
          @tasks = tasks
          @window_days = window_days
          @today = today
          @until_on = until_on
          @open_day = open_day
        end

        # @return [Array<ServiceDay>] in order
        def service_days
          left = @tasks.map { |task| [task, task.due_on] }
          days = []
          while days.size < MOST_DAYS && (first = first_due(left))
            service_day, left = next_day(day([first, @today].max, days.last), left)
            days << service_day
          end
          days
        end

        # @return [Array(ServiceDay, Array)] a day, and what is due after it
        def next_day(date, left)
          open = left.select { |task, due_on| opens(task, due_on) <= date }.map(&:first)
          covered = covered_by(open)
          [ServiceDay.new(date, open.reject(&covered)),
           left.map { |task, due_on| [task, next_due(task, due_on, date, covered)] }]
        end

        private

        # @return [Date, nil] nil when nothing more falls due in time
        def first_due(left)
          first = left.map(&:last).min
          first if first && first <= @until_on
        end

        # What was done, or covered by what was done, comes round again after its interval.
        def next_due(task, due_on, date, covered)
          opens(task, due_on) <= date || covered.call(task) ? date + task.interval_days : due_on
        end

        # @return [Proc] whether one of them does a task as well
        def covered_by(tasks)
          at_place = tasks.group_by(&:place)
          ->(task) { at_place.fetch(task.place, []).any? { |other| Clocks::Task.covers?(other.action, task.action) } }
        end

        # Never on the same day twice, whatever the open days say.
        def day(date, last)
          open = @open_day.call(date)
          last && open <= last.date ? last.date + 1 : open
        end

        def opens(task, due_on)
          due_on - [@window_days, (task.interval_days * WINDOW_SHARE).floor].min
        end
      end
    end
  end
end
