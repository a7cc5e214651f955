# frozen_string_literal: true

require_relative "plan_helper"

class BenchCalendarTest < CoreTest
  include PlanHelper

  def test_when_somebody_works
    assert_equal [0, 0, 239, 270, 270, 1440], [-5, 0, 239, 240, 255, 540].map { |time| calendar.open_from(time) }
    assert_equal [0, 100, 240, 240, 241, 510, 511], [-5, 100, 240, 260, 271, 1440, 1441].map { |time|
      calendar.worked(time)
    }
  end

  def test_what_may_not_be_laid_aside_waits_for_a_stretch_that_is_long_enough
    assert_equal [240, 270 + 31, 1440 + 250], [[200, 40], [210, 31], [400, 250]].map { |time, minutes|
      Bench::Calendar.new([*open_days(1), [1440, 1740]]).done(time, minutes, false)
    }
  end

  def test_what_was_thought_to_fit_is_begun_and_finished_also_after_closing
    assert_equal 210 + 40, calendar.done(210, 40, false, 30)
    assert_equal 270 + 20, calendar.done(210, 20, false, 40)
    assert_equal 270 + 275, calendar.done(210, 275, false, 40)
  end

  def test_what_is_done_sooner_than_was_thought_ends_the_same_day
    assert_equal 210 + 20, calendar.done(210, 20, true, 40)
  end

  def test_what_may_be_laid_aside_goes_on_after_the_break
    assert_equal [271, 1441], [[210, 31], [400, 141]].map { |time, minutes| calendar.done(time, minutes, true) }
  end

  def test_what_is_longer_than_anybody_works_is_done_in_parts_all_the_same
    assert_equal 1440 + 10, calendar.done(0, 520, false)
  end

  # Counted minute by minute.
  def test_minutes_worked_are_those_between_the_stretches
    for_all(times: 40) do |random|
      marks = Array.new(8) { random.rand(1..400) }.uniq.sort
      stretches = marks.each_slice(2).select { |pair| pair.size == 2 }
      next if stretches.empty?

      times = calendar(stretches)
      at = random.rand(0..420)

      assert_equal (0...at).count { |minute| stretches.any? { |from, till| minute >= from && minute < till } },
        times.worked(at)
    end
  end

  def test_the_plan_has_an_end_and_a_calendar_an_order
    assert_raises(Bench::BeyondHorizon) { calendar.open_from(30 * 1440) }
    assert_raises(Bench::BeyondHorizon) { calendar.done((29 * 1440) + 500, 50, true) }
    assert_equal 63, calendar([[0, 64]]).open_from(63) # to the last minute of the table
    assert_raises(ArgumentError) { calendar([]) }
    assert_raises(ArgumentError) { calendar([[10, 20], [15, 30]]) }
  end

  def test_whoever_stays_on_works_longer_in_the_evening_and_not_at_noon
    week = calendar(open_days(3))

    assert_equal [240, 600, 1680, 2040, 3120, 3480], week.longer(week, 60).till
    assert_equal [240, 540, 1680, 2040, 3120, 3420], week.longer(week, 60, 1800).till
    assert_equal week.till, week.longer(week, 60, 0).till
  end
end
