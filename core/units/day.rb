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

        # @param date [Date]
        # @return [String]
        def words(date)
          date.strftime("%-d %b %Y")
        end
      end
    end
  end
end
