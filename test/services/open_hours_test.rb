# frozen_string_literal: true

require "biz"
require_relative "../test_helper"

class OpenHoursTest < AppTest
  ZONE = "America/Halifax"
  DAY = { "08:30" => "12:30", "13:00" => "17:30" }.freeze

  def hours(closed_days: [])
    Services::OpenHours.new(hours: %w[mon tue wed thu fri].to_h { |day| [day, DAY] }
      .merge("sat" => { "09:00" => "13:00" }), closed_days: closed_days, time_zone: ZONE)
  end

  def at(*parts)
    TZInfo::Timezone.get(ZONE).local_time(*parts)
  end

  def test_the_lunch_break_does_not_count
    assert_equal at(2026, 3, 2, 13, 30), hours.after(at(2026, 3, 2, 12), 60)
  end

  def test_work_goes_on_the_next_open_day
    assert_equal at(2026, 3, 3, 9), hours.after(at(2026, 3, 2, 17), 60)
    assert_equal at(2026, 3, 9, 8, 30), hours.open_from(at(2026, 3, 7, 13))
  end

  def test_closed_days_are_closed
    closed = hours(closed_days: [Core::Policies::ClosedDay.new(on: Date.new(2026, 3, 3))])

    assert_empty closed.stretches(Date.new(2026, 3, 3))
    assert_equal Date.new(2026, 3, 4), closed.open_day(Date.new(2026, 3, 3))
  end

  # Clocks go forward on 8 March 2026 in this zone: Saturday 13:00 to Monday 8:30 is an hour shorter.
  def test_summer_time_moves_the_hours_not_the_clock_face
    assert_in_delta 42.5 * 3600, hours.open_from(at(2026, 3, 7, 13)) - at(2026, 3, 7, 13)
  end

  # The library biz computes the same by its own way.
  def test_agrees_with_a_librarys_arithmetic
    schedule = Biz::Schedule.new do |config|
      config.hours = { mon: DAY, tue: DAY, wed: DAY, thu: DAY, fri: DAY, sat: { "09:00" => "13:00" } }
      config.time_zone = ZONE
    end
    random = Random.new(1)
    40.times do
      from = at(2026, 1, 1) + random.rand(0..31_000_000)
      minutes = random.rand(1..3000)

      assert_equal schedule.time(minutes, :minutes).after(from), hours.after(from, minutes)
      assert_equal schedule.time(minutes, :minutes).before(from), hours.before(from, minutes)
    end
  end

  def test_hours_that_make_no_sense_are_refused
    [{}, { "mon" => {} }, { "mon" => { "12:00" => "09:00" } }, { "mon" => { "09:00" => "12:00", "11:00" => "13:00" } },
     { "mon" => { "9" => "12:00" } },
     { "mon" => { "09:00" => "25:00" } }].each do |hours|
      assert_raises(Services::Invalid, hours.inspect) do
        Services::OpenHours.new(hours: hours, closed_days: [], time_zone: ZONE)
      end
    end
  end

  # In Cairo the clocks jump at midnight from 0:00 to 1:00, in Havana back from 1:00 to 0:00 (tz database).
  def test_midnights_that_do_not_exist_or_come_twice
    spring = TZInfo::Timezone.get("Africa/Cairo")
    autumn = TZInfo::Timezone.get("America/Havana")

    assert_equal Time.utc(2026, 4, 23, 22), Config::Zone.moment(spring, Date.new(2026, 4, 24), 0)
    assert_equal Time.utc(2026, 4, 23, 22), Config::Zone.moment(spring, Date.new(2026, 4, 24), 59)
    assert_equal Time.utc(2024, 11, 3, 4), Config::Zone.moment(autumn, Date.new(2024, 11, 3), 0)
    assert_equal Time.utc(2024, 11, 3, 6), Config::Zone.moment(autumn, Date.new(2024, 11, 3), 60)
  end

  WAYS = { "always" => { "00:00" => "24:00" }, "daily" => DAY,
           "nights" => { "00:00" => "00:30", "00:45" => "03:15", "22:00" => "24:00" } }.freeze
  # A change of the date line drops or doubles a day; none of the coming years has one.
  CHANGES = (Time.utc(2020)..Time.utc(2030))

  # Every zone of the tz database, three days around each of its changes in ten years: days follow each other without a
  # gap, nothing is open twice at once, a later time on the clock is never earlier, and nothing raises. Zones whose
  # clocks do the same throughout are one case.
  def test_every_change_of_every_zone
    cases = zones_by_changes

    assert_operator cases.values.flatten.size, :>, 300
    assert_operator cases.keys.sum(&:size), :>, 300
    cases.each do |changes, zones|
      changes.each do |at, _, after|
        day = Time.at(at, in: after).to_date
        ((day - 1)..(day + 1)).each { |date| whole_day(zones.first, date) }
      end
    end
  end

  # @return [Hash{Array=>Array<TZInfo::DataTimezone>}] each change's moment and the seconds from UTC before and after
  def zones_by_changes
    TZInfo::Timezone.all_data_zones.group_by do |zone|
      zone.transitions_up_to(CHANGES.end, CHANGES.begin).map do |change|
        [change.timestamp_value, change.previous_offset.observed_utc_offset, change.offset.observed_utc_offset]
      end
    end
  end

  def whole_day(zone, date)
    clock = (0..1440).step(15).map { |minute| Config::Zone.moment(zone, date, minute) }

    assert_equal clock.sort, clock, "#{zone.name} #{date}"
    assert_equal clock.last, Config::Zone.moment(zone, date + 1, 0)
    WAYS.each_value do |times|
      open = Services::OpenHours.for(hours: WEEK.to_h { |name| [name, times] }, closed_days: [], time_zone: zone.name)
      stretches = open.stretches(date).flatten

      assert_equal stretches.sort, stretches, "#{zone.name} #{date}"
      next if stretches.empty?

      assert_equal stretches.first, open.open_from(stretches.first)
      assert_equal stretches[0] + 60, open.after(stretches[0], 1)
    end
  end

  WEEK = Services::OpenHours::DAYS
end
