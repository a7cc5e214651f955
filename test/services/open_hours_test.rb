# frozen_string_literal: true

require_relative "../test_helper"

class OpenHoursTest < AppTest
  ZONE = "America/Halifax"
  DAY = { "08:30" => "12:30", "13:00" => "17:30" }.freeze

  def hours(holidays: [])
    Services::OpenHours.new(hours: %w[mon tue wed thu fri].to_h { |day| [day, DAY] }.merge("sat" => { "09:00" => "13:00" }), holidays: holidays, time_zone: ZONE)
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

  def test_holidays_are_closed
    closed = hours(holidays: [Date.new(2026, 3, 3)])

    assert_empty closed.stretches(Date.new(2026, 3, 3))
    assert_equal Date.new(2026, 3, 4), closed.open_day(Date.new(2026, 3, 3))
  end

  # Clocks go forward on 8 March 2026 in this zone: Saturday 13:00 to Monday 8:30 is an hour shorter.
  def test_summer_time_moves_the_hours_not_the_clock_face
    assert_in_delta 42.5 * 3600, hours.open_from(at(2026, 3, 7, 13)) - at(2026, 3, 7, 13)
  end

  # biz, which the stretches come from, computes the same by its own way.
  def test_agrees_with_the_librarys_own_arithmetic
    schedule = Biz::Schedule.new do |config|
      config.hours = { mon: DAY, tue: DAY, wed: DAY, thu: DAY, fri: DAY, sat: { "09:00" => "13:00" } }
      config.time_zone = ZONE
    end
    random = Random.new(1)
    40.times do
      from = at(2026, 1, 1) + random.rand(0..31_000_000)
      minutes = random.rand(1..3000)

      assert_equal schedule.time(minutes, :minutes).after(from), hours.after(from, minutes)
    end
  end

  def test_hours_that_never_open_are_refused
    assert_raises(Services::Invalid) { Services::OpenHours.new(hours: {}, holidays: [], time_zone: ZONE) }
  end
end
