# frozen_string_literal: true

module UprightBench
  module Core
    module Units
      # A moment in as many words as it needs: today by the hour, this week with its day, else with its date.
      module Moment
        A_WEEK = 7 # days

        module_function

        # @param local [Time] in the shop's zone
        # @param today [Date]
        # @return [String] as in "today 14:30", "Fri 09:00", "3 Mar 09:00"
        def words(local, today:)
          date = Date.new(local.year, local.month, local.day)
          return "today #{local.strftime('%H:%M')}" if date == today

          local.strftime((date - today).abs < A_WEEK ? "%a %H:%M" : "%-d %b %H:%M")
        end
      end
    end
  end
end
