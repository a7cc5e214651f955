# frozen_string_literal: true

require "date"

module UprightBench
  module Core
    module Clocks
      # When is a task due? The earliest of its clocks, in whole days rounded down, with an early and a
      # late bound from the 80 % interval of the use rate.
      #
      #   DueDate.new(task:, progress:, conditions:).call  # => Due
      #
      # Months are calendar months and clamp at a month's end (31 Jan + 1 month is the last of February).
      # The bounds are for the day on which the hours will have been used up, not for the rate alone (Use::Rate#bounds_over).
      # A task whose start is unknown is due for inspection today, not in a year.
      class DueDate
        DAYS_A_WEEK = 7.0
        FOREVER_DAYS = 36_500 # beyond a hundred years a clock does not run
        NOTHING_FOUND = Use::Personal.new

        # @param task [Task]
        # @param progress [Progress]
        # @param conditions [Conditions]
        # @param personal [Use::Personal] what was found at this place before
        def initialize(task:, progress:, conditions:, personal: NOTHING_FOUND)
          @task = task
          @start = progress.started_on
          @progress = progress
          @conditions = conditions
          @personal = personal
        end

        # @return [Due]
        def call
          return unknown_history if @start.nil?

          dated = @task.clocks.filter_map { |clock| dated(clock) }
          return never if dated.empty?

          answer(dated.size > 1 ? dated.sort_by(&:due) : dated)
        end

        private

        # When one clock runs out. What goes by the calendar, or was read, is certain: all three are one day.
        Dated = Struct.new(:clock, :due, :early, :late)
        private_constant :Dated

        def answer(dated)
          first = dated.first
          Due.new(due_on: first.due, early_on: dated.map(&:early).min, late_on: dated.filter_map(&:late).min, deciding: first.clock.kind,
                  personal: personal(first.clock), reasons: dated.map { |one| reason(one) })
        end

        # @return [Dated, nil] nil when this clock never runs out
        def dated(clock)
          case clock.kind
          when :hours then by_use(clock, @start, clock.limit * factor(clock))
          when :months then by_calendar(clock, @start, clock.limit)
          when :count then by_count(clock)
          when :indicator then by_indicator(clock)
          end
        end

        # What was counted is taken as it stands on the day of counting; only the rest is predicted.
        def by_count(clock)
          from = @progress.counted_on || @start
          left = [clock.limit - @progress.counted, 0].max
          clock.each_hours ? by_use(clock, from, left * clock.each_hours * factor(clock)) : by_calendar(clock, from, left * clock.each_months)
        end

        def by_indicator(clock)
          read = @progress.indicator
          return unless read&.positive?
          return certain(clock, @progress.indicator_on) if read >= clock.limit

          certain(clock, @start + ((@progress.indicator_on - @start).to_i * clock.limit / read.to_f).floor)
        end

        def by_calendar(clock, from, months)
          whole = from >> months
          share = factor(clock)
          certain(clock, share == 1 ? whole : from + ((whole - from).to_i * share).floor)
        end

        def by_use(clock, from, hours)
          return certain(clock, from) if hours <= 0

          due = after(from, hours, use.mean)
          return unless due

          slow, fast = use.bounds_over(hours)
          late = after(from, hours, slow)
          Dated.new(clock, due, [after(from, hours, fast), due].min, late && [late, due].max)
        end

        def certain(clock, day)
          Dated.new(clock, day, day, day)
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
          @task.shortened_by_household?(clock) ? @conditions.household_factor : 1.0
        end

        def personal(clock)
          @task.follows_findings?(clock) ? (@own ||= @personal.factor) : 1.0
        end

        def use
          @conditions.use
        end

        def reason(dated)
          clock = dated.clock
          "#{clock.words}#{shortening(clock)} from #{@start_words ||= @start.iso8601}#{progress_words(clock)}: #{dated.due.iso8601}"
        end

        def shortening(clock)
          personal = personal(clock)
          household = @conditions.household_words if @task.shortened_by_household?(clock)
          personal == 1 ? household : format("%<household>s ÷ %<factor>.2f (%<why>s)", household: household, factor: personal, why: @personal.words)
        end

        def progress_words(clock)
          case clock.kind
          when :hours then @conditions.rate_words
          when :count then ", #{@progress.counted} counted so far"
          when :indicator then ", #{@progress.indicator} % on #{@progress.indicator_on.iso8601}"
          end
        end

        def unknown_history
          today = @conditions.today
          Due.new(due_on: today, early_on: today, late_on: today, deciding: :unknown, reasons: ["history unknown: look it over now, not in a year"])
        end

        def never
          Due.new(due_on: nil, early_on: nil, late_on: nil, deciding: :none,
                  reasons: ["no use and no calendar clock: nothing falls due"])
        end
      end
    end
  end
end
