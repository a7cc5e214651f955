# frozen_string_literal: true

module UprightBench
  module Core
    module Policies
      # The hours a shop is open by default: opening time => closing time, for each day of the week.
      module Week
        DAYS = { "mon" => "Monday", "tue" => "Tuesday", "wed" => "Wednesday", "thu" => "Thursday", "fri" => "Friday",
                 "sat" => "Saturday", "sun" => "Sunday" }.freeze
        WORKING_DAY = { "08:30" => "12:30", "13:00" => "17:30" }.freeze
        STARTS = %w[mon sun sat].freeze

        # @param start [String] of DAYS
        # @return [Array<String>] all keys of DAYS, from that one on
        def self.from(start)
          DAYS.keys.rotate(DAYS.keys.index(start))
        end

        OPEN_HOURS = { "mon" => WORKING_DAY, "tue" => WORKING_DAY, "wed" => WORKING_DAY, "thu" => WORKING_DAY,
                       "fri" => WORKING_DAY, "sat" => { "09:00" => "13:00" } }.freeze
      end
    end
  end
end
