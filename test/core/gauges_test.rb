# frozen_string_literal: true

require_relative "../core_helper"

# Lines of gauges, and when a gauge has come to rest.
class GaugesTest < CoreTest
  def read(pattern, line, unit = nil)
    Gauges::LineProfile.new(pattern: pattern, unit: unit).read(line)&.then { |shown| [shown.value.round(3), shown.what] }
  end

  # Units by NIST SP 811 (1 inH₂O at 20 °C is 0.24866 kPa after ASTM F558; from memory).
  def test_lines_as_gauges_write_them
    { ["{value} {unit}", "-12.31 kPa"] => [12.31, :pressure], ["{value} {unit}", "  +30,9   L/s "] => [30.9, :flow],
      ["{value}{unit}", "80.0inH2O"] => [19.893, :pressure], ["{value} {unit}", "- 123.4 mbar"] => [12.34, :pressure],
      ["{any};{value};{unit};{hold}", "17:20:01;65.5;CFM;"] => [30.913, :flow],
      ["P={value}", "P=+123", "mbar"] => [12.3, :pressure],
      ["$GA,{value},{unit}*{any}", "$GA,12.31,kPa*3F"] => [12.31, :pressure] }
      .each { |(pattern, line, unit), shown| assert_equal shown, read(pattern, line, unit), line }
  end

  def test_each_quantity_is_read_in_each_of_its_units_and_as_it_is_written
    Gauges::Quantities::ALL.each_value do |quantity|
      most = quantity.range.max
      half = most / 2.0

      quantity.units.each { |unit, factor| assert_in_delta half, quantity.parse("#{half / factor} #{unit}") }
      assert_in_delta half, quantity.parse(quantity.words(half)), 0.05
      assert_nil quantity.parse("#{most + 1} #{quantity.unit}"), quantity.key
      assert_equal quantity.minus, !quantity.parse("-1 #{quantity.unit}").nil?, quantity.key
    end
  end

  def test_a_device_shows_what_its_kind_shows_and_nothing_else
    lines = Gauges::Quantities::ALL.transform_values { |quantity| "1 #{quantity.unit}" }
    Gauges::Kinds::ALL.each do |name, kind|
      next if kind.shows == :room

      profile = kind.profile("{value} {unit}", nil)

      assert_equal kind.shows.sort, lines.select { |_, line| profile.read(line) }.keys.sort, name
      assert_equal (lines.keys - kind.shows).sort, lines.select { |_, line| profile.read_beside(line) }.keys.sort, name
    end
  end

  def test_what_it_cannot_read_is_nothing
    ["", "OL kPa", "12.31", "12.31 bananas", "99 kPa", "12.31 kPa x", "x" * 5000, nil].each do |line|
      assert_nil read("{value} {unit}", line), line.inspect
    end
  end

  def test_whether_it_holds_the_number
    profile = Gauges::LineProfile.new(pattern: "{value} {unit} {hold}")

    assert_equal [true, true, false], ["12 kPa H", "12 kPa hold", "12 kPa"].map { |line| profile.read(line).held }
  end

  def test_a_pattern_that_reads_nothing_is_refused
    ["", "kPa", "{value}{value} {unit}", "{value}"].each do |pattern|
      assert_raises(ArgumentError, pattern) { Gauges::LineProfile.new(pattern: pattern) }
    end
    assert_raises(ArgumentError) { Gauges::LineProfile.new(pattern: "{value}", unit: "feet") }
    assert Gauges::LineProfile.new(pattern: "({value}) {strange", unit: "kPa").read("(12) {strange")
  end

  def series(values, every: 0.2, what: :pressure)
    values.reverse.each_with_index.map { |value, index| [index * every, Gauges::Shown.new(value: value, what: what)] }
  end

  def test_at_rest_for_two_seconds_within_its_error
    assert_in_delta 20.0, Gauges::Steady.new(series([20.0] * 12), 2).value, 1e-9
    assert_in_delta 20.0, Gauges::Steady.new(series([5.0, 11.0] + ([19.8, 20.2] * 6)), 2).value, 0.1
    assert_nil Gauges::Steady.new(series([20.0] * 9), 2).value, "not heard for two seconds"
    assert_nil Gauges::Steady.new(series((0..12).map { |step| 20.0 - (step * 0.1) }), 2).value, "still falling"
    assert_nil Gauges::Steady.new(series([20.0] * 3, every: 1.0), 2).value, "too few lines"
    assert_nil Gauges::Steady.new([], 2).value
  end

  def test_a_gauge_that_changes_what_it_shows_is_not_at_rest
    mixed = series([20.0] * 6) + series([20.0] * 12, what: :flow).drop(6)

    assert_nil Gauges::Steady.new(mixed, 2).value
  end
end
