# frozen_string_literal: true

module UprightBench
  module Core
    module Clocks
      # How a clock runs out from a day on: by the calendar, or by use with its bounds. Shared by the clocks of one
      # task.
      #
      # Months are calendar months and clamp at a month's end (31 Jan + 1 month is the last of February). The bounds are
      # for the day on which the hours will have been used up, not for the rate alone (Use::Wait).
      class Run
        DAYS_A_WEEK = 7.0
        EXACT_DIGITS = 9
        FOREVER_DAYS = 36_500 # beyond a hundred years a clock does not run

        attr_reader :start, :progress

        # @param progress [Progress] with a start
        # @param use [Use::Rate]
        def initialize(progress, use)
          @start = progress.started_on
          @progress = progress
          @use = use
        end

        # @return [Array(Date, Date, Date)] the day, how early and how late it may be
        def by_calendar(from, months, factor)
          whole = from >> months
          certain(factor == 1 ? whole : from + ((whole - from).to_i * factor).round(EXACT_DIGITS).floor)
        end

        # @return [Array(Date, Date, Date), nil] the last nil when nothing bounds it; nil when they are never used up
        def by_use(from, hours)
          return certain(from) if hours <= 0

          due = after(from, hours, @use.mean)
          return unless due

          soon, late = @use.weeks_until(hours).map { |weeks| day(from, weeks) }
          [due, [soon, due].compact.min, late && [late, due].max]
        end

        # What goes by the calendar, or was read, is certain.
        def certain(day)
          [day, day, day]
        end

        private

        def after(from, hours, rate)
          return if rate.zero?

          day(from, hours / rate)
        end

        # Whole days, rounded down; what only a float's last digit keeps from being whole is whole.
        def day(from, weeks)
          days = (weeks * DAYS_A_WEEK).round(EXACT_DIGITS).floor
          from + days if days <= FOREVER_DAYS
        end
      end
    end
  end
end
