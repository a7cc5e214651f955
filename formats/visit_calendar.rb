# frozen_string_literal: true

require "icalendar"

module UprightBench
  module Formats
    # Days on which a machine is brought, as an iCalendar file (RFC 5545): a whole-day event each. The same visit keeps its UID, so
    # that a calendar that reads it again moves its event and doubles none.
    class VisitCalendar
      # @param name [String] of the calendar
      # @param host [String] for the UIDs
      # @param rows [Array<Hash>] id, date, summary, place (or nil)
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
        calendar.prodid = "-//Upright Bench//visits//EN"
        calendar.append_custom_property("X-WR-CALNAME", @name)
        @rows.each { |row| add(calendar, row) }
        calendar.to_ical
      end

      private

      def add(calendar, row)
        calendar.event do |event|
          event.uid = "visit-#{row[:id]}@#{@host}"
          event.dtstamp = Icalendar::Values::DateTime.new(@stamp.utc, "tzid" => "UTC")
          event.dtstart = Icalendar::Values::Date.new(row[:date])
          event.dtend = Icalendar::Values::Date.new(row[:date] + 1) # the first day that is none of it
          event.summary = row[:summary]
          event.location = row[:place] if row[:place]
        end
      end
    end
  end
end
