# frozen_string_literal: true

require_relative "../../core_helper"

class PromiseTest < CoreTest
  # Open every day from 8 to 18, in plain arithmetic.
  class Hours
    OPEN = 8
    CLOSE = 18

    def open_from(time)
      return Time.utc(time.year, time.month, time.day, OPEN) if time.hour < OPEN
      return time if time.hour < CLOSE

      open_from(Time.utc(time.year, time.month, time.day) + 86_400)
    end

    def after(time, minutes)
      start = open_from(time)
      left = (Time.utc(start.year, start.month, start.day, CLOSE) - start) / 60
      minutes <= left ? start + (minutes * 60) : after(start + (left * 60), minutes - left)
    end
  end

  def promise(now, **more)
    Work::Promise.new(hours: Hours.new, now: now, **more)
  end

  # 9:00 + 60 min + 15 to refit + 120 spare = 12:15.
  def test_without_a_wait
    assert_equal Time.utc(2026, 3, 2, 12, 15), promise(Time.utc(2026, 3, 2, 9), hands_on_minutes: 60).call
  end

  # 9:00 + 30 min, 24 h of drying to 9:30 next day, then 135 open minutes.
  def test_drying_runs_through_the_night
    assert_equal Time.utc(2026, 3, 3, 11, 45), promise(Time.utc(2026, 3, 2, 9), hands_on_minutes: 30, wait_hours: 24)
      .call
  end

  # Dry at 21:30, when nobody is there: it waits for the morning.
  def test_what_dries_at_night_is_ready_in_the_morning
    assert_equal Time.utc(2026, 3, 3, 10, 15), promise(Time.utc(2026, 3, 2, 9), hands_on_minutes: 30, wait_hours: 12)
      .call
  end

  def test_rounded_up_to_a_quarter_hour
    assert_equal Time.utc(2026, 3, 2, 11, 30), promise(Time.utc(2026, 3, 2, 9), hands_on_minutes: 1).call
    assert_equal 0, promise(Time.utc(2026, 3, 2, 9, 7), hands_on_minutes: 13).call.to_i % 900
  end

  def test_says_why
    assert_equal Reason.of(:ready_by, minutes: 30, wait_hours: 24, refit: 15, buffer: 120),
      promise(Time.utc(2026, 3, 2, 9), hands_on_minutes: 30, wait_hours: 24).reason
  end
end
