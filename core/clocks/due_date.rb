# frozen_string_literal: true

require "date"

module UprightBench
  module Core
    module Clocks
      # When is a task due? The earliest of its clocks, in whole days rounded down, with an early and a
      # late bound from the 80 % interval of the use rate.
      #
      #   DueDate.new(task:, progress:, use:, household:, today:).call  # => Due
      #
      # Months are calendar months and clamp at a month's end (31 Jan + 1 month is the last of February).
      # The bounds are for the day on which the hours will have been used up, not for the rate alone (Use::Rate#bounds_over).
      # A task whose start is unknown is due for inspection today, not in a year.
      class DueDate
        DAYS_A_WEEK = 7.0
        FOREVER_DAYS = 36_500 # beyond a hundred years a clock does not run

        # @param task [Task]
        # @param progress [Progress]
        # @param use [Use::Rate]
        # @param household [Use::Household]
        # @param personal [Use::Personal] what was found at this place before
        # @param today [Date]
        # @param factors [Hash{Symbol=>Float}] trait of a household => what an interval is multiplied by
        def initialize(task:, progress:, use:, household:, today:, personal: Use::Personal.new, factors: Use::Household::FACTORS)
          @task = task
          @progress = progress
          @use = use
          @household = household
          @today = today
          @factor = household.factor(factors)
          @personal = personal
        end

        # @return [Due]
        def call
          return unknown_history if @progress.started_on.nil?

          dated = @task.clocks.filter_map { |clock| dates(clock) }
          return never if dated.empty?

          first = dated.min_by { |row| row[:due] }
          Due.new(due_on: first[:due], early_on: dated.map { |row| row[:early] }.min,
                  late_on: dated.filter_map { |row| row[:late] }.min, deciding: first[:clock].kind, personal: personal(first[:clock]),
                  reasons: dated.sort_by { |row| row[:due] }.map { |row| row[:reason] })
        end

        # @param clock [Clock] one of the task's
        # @return [Date, nil] when this clock alone runs out; nil when it never does
        def due_of(clock)
          dates(clock)&.fetch(:due)
        end

        private

        def dates(clock)
          due = on(clock, @use.mean)
          return if due.nil?

          slow, fast = rates(clock)
          early = on(clock, fast)
          late = on(clock, slow)
          { clock: clock, due: due, early: [early, due].min, late: late && [late, due].max, reason: reason(clock, due) }
        end

        def on(clock, hours_per_week)
          send(:"by_#{clock.kind}", clock, hours_per_week)
        end

        # @return [Array(Float, Float)] hours a week, at the slowest and at the fastest; what goes by the calendar has none
        def rates(clock)
          hours = hours_to_come(clock)
          hours&.positive? ? @use.bounds_over(hours) : [@use.mean, @use.mean]
        end

        def hours_to_come(clock)
          case clock.kind
          when :hours then clock.limit * factor(clock)
          when :count then clock.each_hours && (left(clock) * clock.each_hours * factor(clock))
          end
        end

        def by_hours(clock, rate)
          after(start, hours_to_come(clock), rate)
        end

        def by_months(clock, _rate)
          shortened(start, start >> clock.limit, clock)
        end

        # What was counted is taken as it stands on the day of counting; only the rest is predicted.
        def by_count(clock, rate)
          from = @progress.counted_on || start
          return after(from, hours_to_come(clock), rate) if clock.each_hours

          shortened(from, from >> (left(clock) * clock.each_months), clock)
        end

        def left(clock)
          [clock.limit - @progress.counted, 0].max
        end

        def by_indicator(clock, _rate)
          return unless @progress.indicator&.positive?

          days = (@progress.indicator_on - start).to_i
          return @progress.indicator_on if @progress.indicator >= clock.limit

          start + (days * clock.limit / @progress.indicator.to_f).floor
        end

        # On the interval.
        def factor(clock)
          (@by_clock ||= {}.compare_by_identity)[clock] ||= household(clock) / personal(clock)
        end

        def household(clock)
          @task.shortened_by_household?(clock) ? @factor : 1.0
        end

        def personal(clock)
          @task.follows_findings?(clock) ? (@own ||= @personal.factor) : 1.0
        end

        def shortened(from, whole, clock)
          factor(clock) == 1 ? whole : from + ((whole - from) * factor(clock)).floor
        end

        def after(from, hours, rate)
          return from if hours <= 0
          return if rate.zero?

          days = (hours / rate * DAYS_A_WEEK).floor
          from + days if days <= FOREVER_DAYS
        end

        def start
          @progress.started_on
        end

        def reason(clock, due)
          "#{clock.words}#{shortening(clock)} from #{start.iso8601}#{progress_words(clock)}: #{due.iso8601}"
        end

        def shortening(clock)
          words = []
          words << format(" × %<factor>.2f (%<why>s)", factor: household(clock), why: @household.words) if household(clock) < 1
          words << format(" ÷ %<factor>.2f (%<why>s)", factor: personal(clock), why: @personal.words) unless personal(clock) == 1
          words.join
        end

        def progress_words(clock)
          case clock.kind
          when :hours then format(" at %<rate>.1f h a week", rate: @use.mean)
          when :count then ", #{@progress.counted} counted so far"
          when :indicator then ", #{@progress.indicator} % on #{@progress.indicator_on.iso8601}"
          end
        end

        def unknown_history
          Due.new(due_on: @today, early_on: @today, late_on: @today, deciding: :unknown,
                  reasons: ["history unknown: look it over now, not in a year"])
        end

        def never
          Due.new(due_on: nil, early_on: nil, late_on: nil, deciding: :none,
                  reasons: ["no use and no calendar clock: nothing falls due"])
        end
      end
    end
  end
end
