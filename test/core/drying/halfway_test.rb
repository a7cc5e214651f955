# frozen_string_literal: true

require_relative "../../core_helper"

class HalfwayTest < CoreTest
  WASHED = Time.utc(2026, 3, 2, 9)

  def due?(hours, turned_at: nil, turn: true)
    place = position(water: :cold, drying_floor_hours: 24, turn_halfway: turn)
    Drying::Halfway.due?(place, washed_at: WASHED, dry_at: WASHED + (24 * 3600), turned_at: turned_at,
      now: WASHED + (hours * 3600))
  end

  def test_from_half_of_its_drying_until_it_is_dry
    assert_equal [false, true, true, false], [11.9, 12, 23.9, 24].map { |hours| due?(hours) }
  end

  def test_once_and_only_where_the_sheet_asks
    refute due?(13, turned_at: WASHED + (12 * 3600))
    refute due?(13, turn: false)
  end
end
