# frozen_string_literal: true

require "icalendar"

module UprightBench
  module Formats
    # Days on which something is to be done, as an iCalendar file (RFC 5545): a whole-day event each. The same thing
    # keeps its UID, so that a calendar that reads the file again moves its events and doubles none.
    class DayCalendar
      # @param name [String] of the calendar
      # @param host [String] for the UIDs
      # @param rows [Array<Hash>] id (String, the same for the same thing), date, summary; place and busy (Boolean)
      #   where there are any
      # @param stamp [Time]
      def initialize(name:, host:, rows:, stamp:)
        @name = name
        @host = host
        @rows = rows
        @stamp = stamp
      end

      # @return [String] UTF-8, lines folded and ended as the standard has it
      def call
        calendar = Icalendar::Calendar.new
        calendar.prodid = "-//Upright Bench//days//EN"
        calendar.append_custom_property("X-WR-CALNAME", @name)
        @rows.each { |row| add(calendar, row) }
        calendar.to_ical
      end

      private

      def add(calendar, row)
        calendar.event do |event|
          event.uid = "#{row[:id]}@#{@host}"
          event.dtstamp = Icalendar::Values::DateTime.new(@stamp.utc, "tzid" => "UTC")
          event.summary = row[:summary]
          event.location = row[:place] if row[:place]
          event.transp = "TRANSPARENT" unless row[:busy]
          whole_day(event, row[:date])
        end
      end

      def whole_day(event, date)
        event.dtstart = Icalendar::Values::Date.new(date)
        event.dtend = Icalendar::Values::Date.new(date + 1) # the first day that is none of it
      end
    end
  end
end
