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
          return "today #{clock(local)}" if date == today

          "#{(date - today).abs < A_WEEK ? local.strftime('%a') : Writing.now.day(date, :short)} #{clock(local)}"
        end

        # @param local [Time] in the shop's zone
        # @return [String] the whole of it, as in "3 Mar 2027, 09:00"
        def whole(local)
          "#{Day.words(local)}, #{clock(local)}"
        end

        # @param local [Time] in the shop's zone
        # @return [String] as in "Fri 09:00"
        def of_week(local)
          "#{local.strftime('%a')} #{clock(local)}"
        end

        # @return [String] as in "14:30" or "2:30 pm"
        def clock(local)
          Writing.now.time(local)
        end

        # @param text [String] as opening hours are kept: "14:30"
        # @return [String] as the shop writes it
        def typed_clock(text)
          return text if Writing.now.clock == Writing::AS_KEPT # "24:00" too, at which a day ends

          hour, minute = text.split(":").map(&:to_i)
          clock(Time.utc(2000, 1, 1, hour % 24, minute))
        end
      end
    end
  end
end
