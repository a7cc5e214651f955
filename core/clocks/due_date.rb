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

        # @param task [Task]
        # @param progress [Progress]
        # @param conditions [Conditions]
        # @param own [Use::Personal] what was found at this place before
        def initialize(task:, progress:, conditions:, own: Use::Personal.new)
          @task = task
          @start = progress.started_on
          @progress = progress
          @conditions = conditions
          @own = own
        end

        # @return [Due]
        def call
          return unknown_history if @start.nil?

          dated = @task.clocks.filter_map { |clock| dated(clock) }
          return never if dated.empty?

          answer(dated.size > 1 ? dated.sort_by(&:due) : dated)
        end

        private

        UNKNOWN = Reasons::Plain.new("history unknown: look it over now, not in a year").freeze
        NEVER = Reasons::Plain.new("no use and no calendar clock: nothing falls due").freeze
        private_constant :UNKNOWN, :NEVER

        # When one clock runs out, and what its interval was multiplied by and divided by.
        Dated = Struct.new(:clock, :household, :personal, :due, :early, :late)
        private_constant :Dated

        def answer(dated)
          first = dated.first
          Due.new(due_on: first.due, early_on: dated.map(&:early).min, late_on: dated.filter_map(&:late).min, deciding: first.clock.kind,
                  personal: first.personal, why: Reasons.new(dated: dated, progress: @progress, conditions: @conditions, own: @own))
        end

        # @return [Dated, nil] nil when this clock never runs out
        def dated(clock)
          household = @task.shortened_by_household?(clock) ? @conditions.household_factor : 1.0
          personal = @task.follows_findings?(clock) ? @own.factor : 1.0
          due, early, late = runs_out(clock, household / personal)
          Dated.new(clock, household, personal, due, early, late) if due
        end

        # @param factor [Float] on the interval
        # @return [Array(Date, Date, Date), nil] the day, how early and how late; what goes by the calendar, or was read, is certain
        def runs_out(clock, factor)
          case clock.kind
          when :hours then by_use(@start, clock.limit * factor)
          when :months then by_calendar(@start, clock.limit, factor)
          when :count then by_count(clock, factor)
          when :indicator then by_indicator(clock)
          end
        end

        # What was counted is taken as it stands on the day of counting; only the rest is predicted.
        def by_count(clock, factor)
          from = @progress.counted_on || @start
          left = [clock.limit - @progress.counted, 0].max
          clock.each_hours ? by_use(from, left * clock.each_hours * factor) : by_calendar(from, left * clock.each_months, factor)
        end

        def by_indicator(clock)
          read = @progress.indicator
          return unless read&.positive?
          return certain(@progress.indicator_on) if read >= clock.limit

          certain(@start + ((@progress.indicator_on - @start).to_i * clock.limit / read.to_f).floor)
        end

        def by_calendar(from, months, factor)
          whole = from >> months
          certain(factor == 1 ? whole : from + ((whole - from).to_i * factor).floor)
        end

        def by_use(from, hours)
          return certain(from) if hours <= 0

          due = after(from, hours, use.mean)
          return unless due

          slow, fast = use.bounds_over(hours)
          late = after(from, hours, slow)
          [due, [after(from, hours, fast), due].min, late && [late, due].max]
        end

        def certain(day)
          [day, day, day]
        end

        def after(from, hours, rate)
          return if rate.zero?

          days = (hours / rate * DAYS_A_WEEK).floor
          from + days if days <= FOREVER_DAYS
        end

        def use
          @conditions.use
        end

        def unknown_history
          today = @conditions.today
          Due.new(due_on: today, early_on: today, late_on: today, deciding: :unknown, why: UNKNOWN)
        end

        def never
          Due.new(due_on: nil, early_on: nil, late_on: nil, deciding: :none, why: NEVER)
        end
      end
    end
  end
end
