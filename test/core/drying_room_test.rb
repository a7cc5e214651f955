# frozen_string_literal: true

require_relative "../core_helper"

# Drying as the air of its room changes, weighing out, and how devices write.
class DryingRoomTest < CoreTest
  WASHED = Time.utc(2026, 3, 2, 9)
  GOOD = Drying::Air.new(temperature_c: 21, humidity_percent: 50)
  DAMP = Drying::Air.new(temperature_c: 21, humidity_percent: 75) # falls half as short of saturation
  WET = Drying::Air.new(temperature_c: 21, humidity_percent: 96)
  WARM = Drying::Air.new(temperature_c: 30, humidity_percent: 30)

  def dry_hours(*readings, now: 0, base: 24, factor: 1)
    times = readings.map { |hours, air| [WASHED + (hours * 3600), air] }
    dry = Drying::Progress.new(base_hours: base, factor: factor, washed_at: WASHED, readings: times)
      .dry_at(WASHED + (now * 3600))
    dry && ((dry - WASHED) / 3600.0)
  end

  def test_in_the_air_that_the_hours_are_meant_for
    assert_in_delta 24, dry_hours
    assert_in_delta 24, dry_hours([0, GOOD], now: 10)
    assert_in_delta 48, dry_hours([0, GOOD], factor: 2)
  end

  # Six hours at half the speed leave three of them undone.
  def test_a_damp_night_puts_it_off
    night = [[0, GOOD], [10, DAMP], [16, GOOD]]

    assert_in_delta 27, dry_hours(*night, now: 30), 0.01, "as it was"
    assert_in_delta 16 + (11 / (21.0 / 24)), dry_hours(*night, now: 16), 0.01, "as it looked in the morning"
    assert_in_delta 24, dry_hours([-24, GOOD], [10, DAMP], now: 10), 0.01, "the day before was not damp"
    assert_in_delta 20 + (9 / (19.0 / 24)), dry_hours([-24, GOOD], [10, DAMP], now: 20), 0.01, "ten hours of it were"
  end

  def test_never_sooner_than_the_hours_it_is_given
    assert_in_delta 24, dry_hours([0, WARM], now: 20)
    assert_operator dry_hours([0, WARM], now: 1, factor: 2), :<, 48, "what was not shaken out gains by it"
  end

  def test_what_would_take_more_than_four_days_has_no_hour
    assert_nil dry_hours([0, WET], now: 5)
    assert_nil dry_hours([0, Drying::Air.new(temperature_c: 21, humidity_percent: 90)], now: 5)
    assert_in_delta 120, dry_hours([0, GOOD], base: 120), 0.01, "unless its sheet says so"
  end

  def test_the_same_as_the_formula_for_one_air
    air = Drying::Air.new(temperature_c: 18, humidity_percent: 65)
    hours = Drying::DryingTime.new(floor_hours: 24, usual_hours: 24, air: air).call.hours

    assert_in_delta hours, dry_hours([0, air], now: 3), 1e-6
  end

  # A sponge of 42 g: 42.4 g is within the step of a scale, 43 g is a gram of water.
  def test_dry_by_weight
    assert_predicate Drying::WeighOut.new(42, 42.4), :dry?
    refute_predicate Drying::WeighOut.new(42, 43), :dry?
    assert_predicate Drying::WeighOut.new(300, 303), :dry?
    refute_predicate Drying::WeighOut.new(300, 303.1), :dry?
    assert_in_delta 0.0, Drying::WeighOut.new(300, 295).water_grams
    assert_predicate Drying::WeighOut.new(300, 140), :unlikely?
  end

  def test_masses
    assert_in_delta 182.5, Gauges::Quantities::Mass.parse("182,5")
    assert_in_delta 1250, Gauges::Quantities::Mass.parse("1.25 kg")
    assert_in_delta 453.59237, Gauges::Quantities::Mass.parse("16 oz"), 1e-9
    assert_nil Gauges::Quantities::Mass.parse("3 stone")
    assert_nil Gauges::Quantities::Mass.parse("90 kg")
    assert_nil Gauges::Quantities::Mass.parse("-3 g"), "it was not tared"
  end

  def test_a_scale_writes_as_a_gauge_does
    line = Gauges::LineProfile.new(pattern: "{any},{value} {unit}").read("ST,+  182.5 g")

    assert_equal [182.5, :mass], [line.value, line.what]
    assert_raises(ArgumentError) { Gauges::LineProfile.new(pattern: "{value}", unit: "stone") }
  end

  def room(pattern, line, unit = nil)
    Gauges::RoomLine.new(pattern: pattern, unit: unit).read(line)
  end

  def test_a_room_device
    assert_equal Drying::Air.new(temperature_c: 21.3, humidity_percent: 52.0),
      room("T {temperature} H {humidity}", "T 21.3 H 52")
    assert_in_delta 20.0, room("{humidity};{temperature}", "55;68", "F").temperature_c
    assert_nil room("{temperature} {humidity}", "21.3 152"), "no room is as damp"
    assert_nil room("{temperature} {humidity}", "nothing")
    assert_raises(ArgumentError) { room("{temperature}", "21") }
    assert_raises(ArgumentError) { room("{temperature} {humidity}", "21 50", "K") }
  end
end
