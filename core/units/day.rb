# frozen_string_literal: true

module UprightBench
  module Core
    module Units
      # A day as people read it.
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
          date.strftime("%-d %b %Y")
        end

        # In as many words as it needs on a screen: the year only when it is not this one.
        # @param date [Date]
        # @param today [Date]
        # @return [String] as in "tomorrow", "Fri 27 Nov", "5 Apr 2027"
        def near(date, today:)
          NEAR.fetch((date - today).to_i) { date.year == today.year ? date.strftime("%a %-d %b") : words(date) }
        end
      end
    end
  end
end
