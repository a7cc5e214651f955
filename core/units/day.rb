# frozen_string_literal: true

module UprightBench
  module Core
    module Units
      # A day as people read it.
      #
      #   Day.words(Date.new(2026, 4, 5))  # => "5 Apr 2026"
      module Day
        module_function

        # @param date [Date]
        # @return [String]
        def words(date)
          date.strftime("%-d %b %Y")
        end
      end
    end
  end
end
