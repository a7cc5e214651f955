# frozen_string_literal: true

require "tzinfo"

module UprightBench
  module Config
    # The shop's own clock face.
    module Zone
      MINUTE = 60
      SECONDS_A_DAY = 86_400
      EPOCH_JD = Date.new(1970, 1, 1).jd
      Offset = Struct.new(:zone, :from, :till, :seconds) do
        def holds?(asked, moment)
          zone.equal?(asked) && moment >= from && moment < till
        end
      end
      private_constant :Offset
      A_DAY_EITHER_WAY = 36 * 3600 # no zone is farther from UTC
      MOST_OFFSETS = 12 # that are remembered: the life of a machine goes through several years
      @offsets = [].freeze

      module_function

      # Both are asked for each row of every list, so an offset is looked up once for all that lies between two
      # changes of the clocks.
      # @param time [Time]
      # @return [Time] in the shop's zone
      def local(time)
        time.getlocal(offset(time.to_i))
      end

      # @param time [Time]
      # @return [Date] the shop's calendar day
      def date(time)
        seconds = time.to_i
        Date.jd(EPOCH_JD + ((seconds + offset(seconds)) / SECONDS_A_DAY))
      end

      # @param moment [Object] what the database knows as a moment: a column, or an expression
      # @return [Sequel::SQL::NumericExpression] the shop's calendar day, which a day may be taken from
      def date_of(moment)
        Sequel.cast(Sequel.function(:timezone, name, moment), Date).sql_number
      end

      # @return [Time] a moment of the shop's day
      def at(date, hour, minute = 0)
        local(moment(zone, date, (hour * 60) + minute))
      end

      # A time on the clock as a moment. On a day when the clocks change, a time that does not exist is the moment at
      # which they jump over it, and a time that comes twice is the first of the two. So a later time is never an
      # earlier moment, midnight of any day is one moment, and the days leave no gap between them.
      #
      # @param zone [TZInfo::Timezone]
      # @param date [Date]
      # @param minute [Integer] of the day; 1440 is the next day's midnight
      # @return [Time] UTC
      def moment(zone, date, minute)
        clock = Time.utc(date.year, date.month, date.day) + (minute * MINUTE)
        zone.local_to_utc(clock) { |periods| periods.min_by { |period| clock - period.observed_utc_offset } }
      rescue TZInfo::PeriodNotFound
        jump_over(zone, clock)
      end

      # @return [Core::Held] the shop's zone by its name in the IANA database; where the shop says none, the machine's
      def held
        @held ||= Core::Held.new(:zone, nil)
      end

      # @return [String] as in "America/Halifax"
      def name
        held.value || SETTINGS.time_zone
      end

      def zone
        name = self.name
        known = @zone
        known&.identifier == name ? known : @zone = TZInfo::Timezone.get(name)
      end

      # @param clock [Time] what the clock would show, written as UTC
      def jump_over(zone, clock)
        changes = zone.transitions_up_to(clock + A_DAY_EITHER_WAY, clock - A_DAY_EITHER_WAY)
        jump = changes.find do |change|
          at = change.at.to_time
          at + change.previous_offset.observed_utc_offset <= clock && clock < at + change.offset.observed_utc_offset
        end
        jump.at.to_time.utc
      end

      # @param seconds [Integer] since the epoch
      # @return [Integer] that the shop's clocks are ahead of UTC, in seconds
      def offset(seconds)
        zone = self.zone
        known = @offsets.find { |offset| offset.holds?(zone, seconds) }
        return known.seconds if known

        period = zone.period_for(Time.at(seconds))
        new = Offset.new(zone, period.starts_at&.to_i || -Float::INFINITY, period.ends_at&.to_i || Float::INFINITY,
          period.observed_utc_offset)
        @offsets = [new, *@offsets.first(MOST_OFFSETS - 1)].freeze # another thread may be reading the old list
        new.seconds
      end
      private_class_method :jump_over, :offset
    end
  end
end
