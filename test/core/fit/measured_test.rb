# frozen_string_literal: true

require_relative "../../core_helper"

class MeasuredTest < CoreTest
  def part(number, kind, **sides)
    Fit::Part.new(id: number, number: number, name: number, kind: kind,
      measures: sides.transform_keys { |side| "#{side}_mm" })
  end

  PARTS = [[:belt, { length: 332, width: 10 }], [:belt, { length: 334, width: 10 }],
           [:belt, { length: 334, width: 11 }], [:belt, { length: 298, width: 12 }],
           [:filter, { length: 182, diameter: 58 }], [:filter, { length: 168, width: 128 }],
           [:filter, { diameter: 88 }]].freeze

  def found(first, second)
    parts = PARTS.each_with_index.map { |(kind, sides), index| part("P#{index}", kind, **sides) }
    Fit::Measured.new([first, second]).matches(parts).to_h { |match| [match.part.number, match.fits] }
  end

  # House rule: three times the tolerance still looks alike.
  def test_how_far_off_still_looks_alike
    assert_in_delta 3.0, Fit::ByMeasure.new(:filter, { "length_mm" => 100, "width_mm" => 50 }).slack("length_mm")
  end

  def test_what_is_off_by_just_as_much_as_it_may_be_is_not_wrong
    asked = Fit::ByMeasure.new(:filter, { "length_mm" => 100, "width_mm" => 50 })

    assert_equal [true, false], [103, 103.1]
      .map { |length| asked.near?(part("E", :filter, length: length, width: 50)) }
    assert_equal [[], [:too_large]], [101, 101.1]
      .map { |length| asked.wrong(part("E", :filter, length: length, width: 50)).map(&:key) }
  end

  def test_a_belt_and_its_neighbours_the_nearest_first
    assert_equal [["P0", true], ["P1", true], ["P2", false]], found(332.5, 10).to_a
    assert_equal %w[P1 P0 P2], found(334.5, 10).keys, "what fits, then the nearest"
    assert_equal %w[P2 P1 P0], found(334, 11).keys, "what fits, though others are as near"
  end

  def test_whichever_way_round_it_was_measured
    assert_equal({ "P4" => true }, found(58, 182))
    assert_equal({ "P5" => true }, found(128, 168.4))
  end

  def test_nothing_of_that_size
    assert_empty found(500, 400)
  end

  def test_says_how_far_off
    near = Fit::Measured.new([332, 10]).matches([part("W", :belt, length: 334, width: 11)]).first

    assert_equal [false, [Reason.of(:too_large, side: "width", had: 11, off: 1, allowed: 0.5)]],
      [near.fits, near.reasons]
  end

  # A flat belt over two pulleys, handbook form: L = 2C + pi/2 (D + d) + (D - d)^2 / 4C, against the exact form with the
  # wrap angles (both from memory, machine elements). The approximation is far inside the 1 % that a belt may be off.
  def test_the_handbooks_belt_length_is_near_enough_for_the_rule
    [[95.0, 40.0, 12.0], [110.0, 30.0, 30.0], [80.0, 50.0, 10.0]].each do |centres, large, small|
      handbook = (2 * centres) + (Math::PI / 2 * (large + small)) + (((large - small)**2) / (4 * centres))
      lean = Math.asin((large - small) / (2 * centres))
      exact = (2 * centres * Math.cos(lean)) + (Math::PI / 2 * (large + small)) + (lean * (large - small))

      assert_operator (handbook - exact).abs, :<, exact * 0.0005
      assert Fit::ByMeasure.new(:belt, { "length_mm" => exact, "width_mm" => 10 })
        .fits?(part("B", :belt, length: handbook, width: 10))
    end
  end
end
