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
          return unknown_history if start.nil?

          dated = @task.clocks.filter_map { |clock| dates(clock) }.sort_by(&:due)
          return never if dated.empty?

          first = dated.first
          Due.new(due_on: first.due, early_on: dated.map(&:early).min, late_on: dated.filter_map(&:late).min, deciding: first.clock.kind, personal: personal(first.clock),
                  reasons: dated.map { |one| reason(one) })
        end

        # @param clock [Clock] one of the task's
        # @return [Date, nil] when this clock alone runs out; nil when it never does
        def due_of(clock)
          dates(clock)&.due
        end

        private

        Dated = Struct.new(:clock, :due, :early, :late)
        private_constant :Dated

        def dates(clock)
          due, early, late = send(BY.fetch(clock.kind), clock)
          due && Dated.new(clock, due, [early, due].min, late && [late, due].max)
        end

        BY = { hours: :by_hours, months: :by_months, count: :by_count, indicator: :by_indicator }.freeze
        private_constant :BY

        # @return [Array(Date, Date, Date)] the day itself, the early and the late bound; what goes by the calendar has none
        def by_hours(clock)
          by_use(start, clock.limit * factor(clock))
        end

        def by_months(clock)
          [shortened(start, start >> clock.limit, clock)] * 3
        end

        # What was counted is taken as it stands on the day of counting; only the rest is predicted.
        def by_count(clock)
          from = @progress.counted_on || start
          left = [clock.limit - @progress.counted, 0].max
          return by_use(from, left * clock.each_hours * factor(clock)) if clock.each_hours

          [shortened(from, from >> (left * clock.each_months), clock)] * 3
        end

        def by_indicator(clock)
          return unless @progress.indicator&.positive?
          return [@progress.indicator_on] * 3 if @progress.indicator >= clock.limit

          days = (@progress.indicator_on - start).to_i
          [start + (days * clock.limit / @progress.indicator.to_f).floor] * 3
        end

        def by_use(from, hours)
          return [from] * 3 if hours <= 0

          slow, fast = @use.bounds_over(hours)
          [after(from, hours, @use.mean), after(from, hours, fast), after(from, hours, slow)]
        end

        def after(from, hours, rate)
          return if rate.zero?

          days = (hours / rate * DAYS_A_WEEK).floor
          from + days if days <= FOREVER_DAYS
        end

        # On the interval.
        def factor(clock)
          household(clock) / personal(clock)
        end

        def household(clock)
          @task.shortened_by_household?(clock) ? @factor : 1.0
        end

        def personal(clock)
          @task.follows_findings?(clock) ? (@own ||= @personal.factor) : 1.0
        end

        def shortened(from, whole, clock)
          share = factor(clock)
          share == 1 ? whole : from + ((whole - from) * share).floor
        end

        def start
          @progress.started_on
        end

        def reason(dated)
          clock = dated.clock
          "#{clock.words}#{shortening(clock)} from #{@start_words ||= start.iso8601}#{progress_words(clock)}: #{dated.due.iso8601}"
        end

        def shortening(clock)
          household = household(clock)
          personal = personal(clock)
          return "" if household == 1 && personal == 1

          "#{format(' × %<factor>.2f (%<why>s)', factor: household, why: @household.words) if household < 1}" \
            "#{format(' ÷ %<factor>.2f (%<why>s)', factor: personal, why: @personal.words) unless personal == 1}"
        end

        def progress_words(clock)
          case clock.kind
          when :hours then @rate_words ||= format(" at %<rate>.1f h a week", rate: @use.mean)
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
