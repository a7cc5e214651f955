# frozen_string_literal: true

require_relative "../../core_helper"

class TookTest < CoreTest
  NOON = Time.utc(2026, 3, 2, 12)

  def took(minutes, planned: 10)
    Work::Took.minutes(planned: planned, since: NOON - (minutes * 60), at: NOON)
  end

  def test_from_one_press_to_the_next
    assert_in_delta 12.0, took(12)
    assert_in_delta 40.0, took(40)
  end

  # Called away for lunch, or ten lines pressed in a row: nobody can tell.
  def test_what_nobody_can_tell
    assert_nil took(41)
    assert_nil took(0.4)
    assert_nil Work::Took.minutes(planned: 10, since: nil, at: NOON)
  end
end
