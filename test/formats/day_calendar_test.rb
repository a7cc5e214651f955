# frozen_string_literal: true

require_relative "../test_helper"

# iCalendar (RFC 5545), read back by the library's own parser and held against the standard's rules for lines.
class DayCalendarTest < AppTest
  DAY = Date.new(2027, 2, 28)
  STAMP = Time.utc(2026, 11, 25, 9, 30)

  def text(*rows)
    Formats::DayCalendar.new(name: "Ferry; Line, Ltd", host: "bench.example.org", stamp: STAMP, rows: rows).call
  end

  def row(**more)
    { id: "due-7", date: DAY, summary: "Stride 36; Šárka, 1: replace tube filter, #{'wash foam ' * 12}", **more }
  end

  def test_read_back_it_is_what_was_written
    event = Icalendar::Calendar.parse(text(row)).first.events.first

    assert_equal ["due-7@bench.example.org", DAY, DAY + 1], [event.uid.to_s, event.dtstart.to_date, event.dtend.to_date]
    assert_equal "Stride 36; Šárka, 1: replace tube filter, #{'wash foam ' * 12}".rstrip, event.summary.to_s.rstrip
    assert_equal STAMP, event.dtstamp.to_time
  end

  # RFC 5545, 3.1: lines end with CRLF and are no longer than 75 octets; 3.3.11: commas, semicolons are escaped in text;
  # 3.8.2.2: the end of a whole day is the next day, as a date.
  def test_lines_as_the_standard_has_them
    lines = text(row).split("\r\n", -1)

    assert_equal "", lines.pop
    assert_equal ["BEGIN:VCALENDAR", "END:VCALENDAR"], [lines.first, lines.last]
    assert_operator lines.map(&:bytesize).max, :<=, 75
    assert_includes lines, "DTSTART;VALUE=DATE:20270228"
    assert_includes lines, "DTEND;VALUE=DATE:20270301"
    assert(lines.any? { |line| line.start_with?("SUMMARY:Stride 36\\; ") })
    assert_includes lines, "DTSTAMP:20261125T093000Z"
  end

  # RFC 5545, 3.8.2.7: only what is not transparent takes up time.
  def test_a_visit_takes_up_its_day_and_has_a_place
    visit = Icalendar::Calendar.parse(text(row(busy: true, place: "Ferry Slip 3, Pell Harbor"))).first.events.first

    assert_equal [nil, "Ferry Slip 3, Pell Harbor"], [visit.transp&.to_s, visit.location.to_s]
    assert_equal "TRANSPARENT", Icalendar::Calendar.parse(text(row)).first.events.first.transp.to_s
  end

  def test_the_same_due_keeps_its_name
    names = [DAY, DAY + 9].map { |date| Icalendar::Calendar.parse(text(row(date: date))).first.events.first.uid.to_s }

    assert_equal 1, names.uniq.size
  end
end
