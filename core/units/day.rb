# frozen_string_literal: true

module UprightBench
  module Core
    module Units
      # A day as people read it, in the order of the shop (Writing).
      #
      #   Day.words(Date.new(2026, 4, 5))  # => "5 Apr 2026"
      module Day
        module_function

        # @param text [String] as "2026-04-05", and however long
        # @return [Date, nil] nil when it is no day
        def parse(text)
          Date.iso8601(text, limit: nil)
        rescue Date::Error
          nil
        end

        NEAR = { -1 => "yesterday", 0 => "today", 1 => "tomorrow" }.freeze

        # @param date [Date]
        # @return [String]
        def words(date)
          Writing.now.day(date, :whole)
        end

        # Days from today on which the day of the week is worth saying: the past week, and what may be promised.
        WEEKDAY_SAID = (-7..31)

        # In as many words as it needs on a screen: the weekday when it is near, the year when it is not this one.
        # @param date [Date]
        # @param today [Date]
        # @return [String] as in "tomorrow", "Fri 27 Nov", "4 Aug", "5 Apr 2027"
        def near(date, today:)
          away = (date - today).to_i
          NEAR.fetch(away) do
            next words(date) unless date.year == today.year

            Writing.now.day(date, WEEKDAY_SAID.cover?(away) ? :weekday : :short)
          end
        end
      end
    end
  end
end
