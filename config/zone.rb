# frozen_string_literal: true

require "tzinfo"

module UprightBench
  module Config
    # The shop's own clock face.
    module Zone
      module_function

      # @param time [Time]
      # @return [Time] in the shop's zone
      def local(time)
        zone.to_local(time)
      end

      # @return [Date] the shop's calendar day
      def date(time)
        local(time).to_date
      end

      # @return [Time] a moment of the shop's day
      def at(date, hour, minute = 0)
        zone.local_time(date.year, date.month, date.day, hour, minute)
      end

      def zone
        @zone ||= TZInfo::Timezone.get(SETTINGS.time_zone)
      end
    end
  end
end
