# frozen_string_literal: true

require "biz"

module UprightBench
  module Services
    # The shop's open hours, as the core asks for them.
    class OpenHours
      # @param hours [Hash{String=>Hash{String=>String}}] "mon" => { "08:30" => "12:30" }
      # @param holidays [Array<Date>]
      # @param time_zone [String]
      # @raise [Invalid] when no day opens, or times run backwards
      def initialize(hours:, holidays:, time_zone:)
        @schedule = Biz::Schedule.new do |config|
          config.hours = hours.to_h { |day, times| [day.to_sym, times.to_h] }
          config.holidays = holidays
          config.time_zone = time_zone
        end
      rescue Biz::Error => e
        raise Invalid, { open_hours: ["These open hours do not work: #{e.message}."] }
      end

      # @return [Time] so many open minutes later
      def after(time, minutes)
        minutes.zero? ? open_from(time) : @schedule.time(minutes.ceil, :minutes).after(time)
      end

      # @return [Time] so many open minutes earlier
      def before(time, minutes)
        @schedule.time(minutes.ceil, :minutes).before(time)
      end

      # @return [Time] the first open moment at or after
      def open_from(time)
        @schedule.periods.after(time).first.start_time
      end

      # @param date [Date]
      # @return [Array<Array(Time, Time)>] the open stretches of a day, none when closed
      def stretches(date)
        zone = TZInfo::Timezone.get(@schedule.time_zone.name)
        from = zone.local_time(date.year, date.month, date.day).utc
        @schedule.periods.after(from).take_while { |one| one.start_time < from + 86_400 }.map { |one| [one.start_time, one.end_time] }.to_a
      end

      # @return [Date] the day itself when open, else the next open one
      def open_day(date)
        date += 1 until stretches(date).any?
        date
      end
    end
  end
end
