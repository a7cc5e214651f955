# frozen_string_literal: true

require "icalendar"

module UprightBench
  module Formats
    # Public holidays from an iCalendar file (RFC 5545): the whole-day events in it, with their names. One that repeats
    # yearly without further conditions closes the shop every year; a movable one is listed by its dates.
    class HolidayCalendar
      MOST = 200
      LONGEST_NAME = 60

      # @param text [String]
      # @return [Array<Core::Policies::ClosedDay>] the earliest first
      # @raise [Malformed] when it is no calendar, or has no whole-day event
      def self.read(text)
        new(text).call
      end

      def initialize(text)
        @text = text
      end

      # @return [Array<Core::Policies::ClosedDay>]
      # @raise [Malformed]
      def call
        days = events.select { |event| event.dtstart.is_a?(Icalendar::Values::Date) }.map { |event| day(event) }.uniq
        raise Malformed, ["There is no whole-day event in this file."] if days.empty?
        raise Malformed, ["This file has #{days.size} days; at most #{MOST} are read."] if days.size > MOST

        days.sort_by(&:on)
      end

      private

      def events
        calendars = Icalendar::Calendar.parse(@text.dup)
        raise Malformed, ["This file is no calendar."] if calendars.empty?

        calendars.flat_map(&:events)
      rescue Icalendar::Parser::ParseError, ArgumentError, EncodingError
        raise Malformed, ["This file is no calendar that can be read."]
      end

      def day(event)
        name = event.summary.to_s.strip[0, LONGEST_NAME]
        name = nil if name.empty?
        Core::Policies::ClosedDay.new(on: event.dtstart.to_date, name: name, yearly: every_year?(event))
      end

      def every_year?(event)
        event.rrule.any? do |rule|
          rule.frequency == "YEARLY" &&
            [rule.interval, rule.by_day, rule.by_week_number, rule.count, rule.until].all?(&:nil?)
        end
      end
    end
  end
end
