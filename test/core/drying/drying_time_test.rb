# frozen_string_literal: true

require_relative "../../core_helper"

class DryingTimeTest < CoreTest
  def drying(floor: nil, room: nil, **more)
    air = room && Drying::Air.new(temperature_c: room[0], humidity_percent: room[1])
    Drying::DryingTime.new(floor_hours: floor, usual_hours: 24, air: air, **more).call
  end

  # Common practice: 24 h where the sheet says nothing; the sheet's own number wins.
  def test_the_sheets_number_wins_over_the_shop_rule
    assert_in_delta 24.0, drying.hours
    assert_in_delta 48.0, drying(floor: 48).hours
    assert_in_delta 12.0, drying(floor: 12).hours
  end

  # Common practice: not shaken out doubles the time.
  def test_not_shaken_out_doubles
    assert_in_delta 48.0, drying(shaken: false).hours
  end

  def test_neither_dry_air_nor_a_draught_goes_below_the_floor
    assert_in_delta 24.0, drying(floor: 24, room: [30, 20], draught: true).hours
    assert_includes drying(floor: 24, draught: true).reasons, Reason.of(:never_below, hours: 24.0)
  end

  # By hand from the steam table: at 21 °C and 75 % the deficit is half that at 50 %.
  def test_damp_air_takes_longer
    assert_in_delta 48.0, drying(room: [21, 75]).hours, 0.01
  end

  def test_at_most_four_days_unless_the_sheet_says_more
    assert_in_delta 96.0, drying(room: [21, 75], shaken: false).hours, 0.05
    assert_nil drying(room: [21, 76], shaken: false).hours, "a number that nobody has seen is none"
    assert_in_delta 120.0, drying(floor: 120).hours
    assert_nil drying(floor: 120, shaken: false).hours
  end

  def test_it_says_what_it_reckoned_with
    keys = ->(**how) { drying(**how).reasons.map(&:key) }

    assert_equal %i[usual_hours no_air], keys.call
    assert_equal %i[floor_of_sheet air], keys.call(floor: 12, room: [21, 50])
    assert_equal %i[usual_hours no_air not_shaken], keys.call(shaken: false)
    assert_equal %i[usual_hours no_air not_shaken draught], keys.call(shaken: false, draught: true)
    assert_equal %i[usual_hours no_air draught never_below], keys.call(draught: true)
    assert_equal %i[too_long air not_shaken], keys.call(shaken: false, room: [12, 90])
    assert_equal [Reason.of(:not_shaken, factor: 2.0), Reason.of(:draught, factor: 0.75)],
      drying(shaken: false, draught: true).reasons.last(2)
  end

  def test_a_soaked_room_will_not_dry
    refute_predicate drying(room: [18, 95]), :dries?
    assert_predicate drying(floor: 9, room: [18, 94]), :dries?
  end

  def test_never_below_the_base
    for_all do |random|
      answer = drying(floor: random.rand(1..72), room: [random.rand(5..35), random.rand(0..94)],
        shaken: random.rand < 0.5,
        draught: random.rand < 0.5)

      assert_includes 1..96, answer.hours if answer.dries?

      assert_operator answer.reasons.size, :>=, 2
    end
  end
end
