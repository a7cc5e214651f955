# frozen_string_literal: true

require "icalendar"

module UprightBench
  module Formats
    # What falls due, as an iCalendar file (RFC 5545): a whole-day event for each machine and day, with what is to be done to it.
    # The same due keeps its UID, so that a calendar that reads the file again moves its events and doubles none.
    class DueCalendar
      # @param name [String] of the calendar
      # @param host [String] for the UIDs
      # @param rows [Array<Hash>] id, date, machine, what (Array<String>), url (or nil)
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
        calendar.prodid = "-//Upright Bench//due//EN"
        calendar.append_custom_property("X-WR-CALNAME", @name)
        @rows.each { |row| add(calendar, row) }
        calendar.to_ical
      end

      private

      def add(calendar, row)
        calendar.event do |event|
          event.uid = "due-#{row[:id]}@#{@host}"
          event.dtstamp = Icalendar::Values::DateTime.new(@stamp.utc, "tzid" => "UTC")
          event.dtstart = Icalendar::Values::Date.new(row[:date])
          event.dtend = Icalendar::Values::Date.new(row[:date] + 1) # the first day that is none of it
          event.summary = "#{row[:machine]}: #{row[:what].join(', ')}"
          event.url = row[:url] if row[:url]
          event.transp = "TRANSPARENT"
        end
      end
    end
  end
end
