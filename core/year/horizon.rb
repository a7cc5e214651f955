# frozen_string_literal: true

module UprightBench
  module Core
    module Year
      # The days of the plan, counted from today: which are open, and on which at the latest something due is done.
      class Horizon
        MOST_CLOSED = 60 # days in a row

        # @return [Integer] the last day on which something due must have been done
        attr_reader :last
        # @return [Integer] closed days in a row, at the most
        attr_reader :gap

        # @param today [Date]
        # @param until_on [Date]
        # @param open_day [#call] a day => the open day at or before it, else after it
        def initialize(today:, until_on:, open_day:)
          @today = today
          @last = (until_on - today).to_i
          @open_day = open_day
          @latest = (0..[@last, 0].max).map { |day| (@open_day.call(today + day) - today).to_i }
          @gap = longest_gap
        end

        # @param due [Integer] up to `last`
        # @param after [Integer] the last visit
        # @return [Integer] the day on which it must be done
        def latest(due, after)
          day = @latest[[due, 0].max]
          day > after ? day : next_open(after)
        end

        # @return [Array<Integer>] open days, the latest first
        def open_days(from, till)
          till.downto(from).select { |day| open?(day) || day == till }
        end

        # @return [Date]
        def date(day)
          @today + day
        end

        # @return [Integer]
        def number(date)
          (date - @today).to_i
        end

        private

        def open?(day)
          day > @last || @latest[day] == day
        end

        def next_open(after)
          ((after + 1)..(after + MOST_CLOSED)).find { |day| number(@open_day.call(date(day))) == day } || (after + 1)
        end

        def longest_gap
          (0..@last).slice_when { |day, following| open?(day) != open?(following) }.reject { |days| open?(days.first) }
            .map(&:size).max || 0
        end
      end
    end
  end
end
