# frozen_string_literal: true

require_relative "../test_helper"

class HolidayCalendarTest < AppTest
  def calendar(*events)
    "BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:-//test//EN\r\n#{events.map do |lines|
      "BEGIN:VEVENT\r\nUID:#{lines.hash}\r\n#{lines.join("\r\n")}\r\nEND:VEVENT\r\n"
    end.join}END:VCALENDAR\r\n"
  end

  def read(...)
    Formats::HolidayCalendar.read(calendar(...)).map { |day| [day.on.iso8601, day.name, day.yearly] }
  end

  # RFC 5545, 3.3.10: a yearly rule without further parts repeats the day; "the last Monday in May" does not.
  def test_whole_days_with_their_names
    assert_equal [["2026-05-25", "Lantern Monday", false], ["2026-12-25", "Winter Day", true]],
      read(["DTSTART;VALUE=DATE:20261225", "SUMMARY:Winter Day", "RRULE:FREQ=YEARLY"],
        ["DTSTART;VALUE=DATE:20260525", "SUMMARY:Lantern Monday", "RRULE:FREQ=YEARLY;BYMONTH=5;BYDAY=-1MO"],
        ["DTSTART:20260601T090000Z", "SUMMARY:A meeting"])
  end

  def test_what_is_no_calendar_of_days
    ["", "junk", "\x00\xFF", calendar(["DTSTART:20260601T090000Z"]), "BEGIN:VCALENDAR\r\n"].each do |text|
      assert_raises(Formats::Malformed, text.inspect) { Formats::HolidayCalendar.read(text) }
    end
  end
end
