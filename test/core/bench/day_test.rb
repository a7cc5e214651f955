# frozen_string_literal: true

require_relative "plan_helper"

class BenchDayTest < CoreTest
  include PlanHelper

  def day(**more)
    Bench::Day.new(date: MONDAY, hands_minutes: 1000, usual_minutes: 50, **more)
  end

  def test_what_is_booked_counts_as_a_machine_usually_takes
    assert_equal 400, day(planned_minutes: 300, booked: 2).taken_minutes
    assert_in_delta 0.4, day(planned_minutes: 300, booked: 2).share
  end

  def test_it_holds_another_as_long_as_some_time_is_left_to_spare
    assert_predicate day(planned_minutes: 800), :holds_another?
    refute_predicate day(planned_minutes: 801), :holds_another?
  end

  def test_where_nobody_is_there_nothing_holds
    empty = Bench::Day.new(date: MONDAY, hands_minutes: 0)

    refute_predicate empty, :holds_another?
    assert_in_delta 0.0, empty.share
  end
end
