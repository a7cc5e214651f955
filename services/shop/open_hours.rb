# frozen_string_literal: true

require "biz"

module UprightBench
  module Services
    # The shop's open hours, as the core asks for them. The calendar work (zones, holidays, days that are short or
    # long) is biz's; a day's stretches are kept once computed, since a bench asks for the same few days again and again.
    class OpenHours
      SEARCHED_DAYS = 400 # a shop that stays closed for longer is closed
      KEPT = 4

      class << self
        # One for each set of hours, kept for the life of the process.
        # @return [OpenHours]
        def for(**hours)
          @kept = {} if @kept.nil? || @kept.size > KEPT
          @kept[hours] ||= new(**hours)
        end
      end

      # @param hours [Hash{String=>Hash{String=>String}}] "mon" => { "08:30" => "12:30" }
      # @param holidays [Array<Date>]
      # @param time_zone [String]
      # @raise [Invalid] when no day opens, or times run backwards
      def initialize(hours:, holidays:, time_zone:)
        @zone = TZInfo::Timezone.get(time_zone)
        @days = {}
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
        left = minutes * 60
        stretches_from(time) do |from, till|
          return from + left if left <= till - from

          left -= till - from
        end
      end

      # @return [Time] so many open minutes earlier
      def before(time, minutes)
        @schedule.time(minutes.ceil, :minutes).before(time)
      end

      # @return [Time] the first open moment at or after
      def open_from(time)
        stretches_from(time) { |from, _| return from }
      end

      # @param date [Date]
      # @return [Array<Array(Time, Time)>] the open stretches of a day, none when closed
      def stretches(date)
        @days[date] ||= begin
          from = @zone.local_time(date.year, date.month, date.day).utc
          till = @zone.local_time(*(date + 1).then { |next_day| [next_day.year, next_day.month, next_day.day] }).utc
          @schedule.periods.after(from).take_while { |one| one.start_time < till }.map { |one| [one.start_time, one.end_time] }.to_a.freeze
        end
      end

      # @return [Date] the day itself when open, else the next open one
      def open_day(date)
        date += 1 until stretches(date).any?
        date
      end

      # @param from [Date]
      # @return [Date] the day itself when open, else the last open one before it that is not before `from`; else the next
      def last_open_day(date, from:)
        (from..date).reverse_each.find { |day| stretches(day).any? } || open_day([date, from].max)
      end

      private

      # The open stretches from a moment on, the first cut to begin there.
      def stretches_from(time)
        first = @zone.to_local(time).to_date
        (first..(first + SEARCHED_DAYS)).each do |date|
          stretches(date).each { |from, till| yield [from, time].max, till if till > time }
        end
        raise Refused, "The shop is closed for more than #{SEARCHED_DAYS} days: check the open hours in the settings."
      end
    end
  end
end
