# frozen_string_literal: true

require_relative "../../core_helper"

# 1 in = 25.4 mm exactly: International yard and pound agreement (1959), NIST Handbook 44, appendix C (from memory).
class LengthTest < CoreTest
  def test_inches_are_exact
    assert_in_delta 25.4, Units::Length.parse("1 in", unit: :mm), 1e-9
    assert_in_delta 9.525, Units::Length.parse("3/8 in", unit: :mm), 1e-9   # drill-size tables: 3/8 in = 9.525 mm
    assert_in_delta 34.925, Units::Length.parse('1 3/8"', unit: :mm), 1e-9  # 1 3/8 in = 34.925 mm
    assert_in_delta 3.175, Units::Length.parse("1/8", unit: :inch), 1e-9    # 1/8 in = 3.175 mm
  end

  def test_what_is_written_wins_over_the_shops_unit
    { "4" => 4.0, "4 mm" => 4.0, "0,4cm" => 4.0, "0.004 m" => 4.0, " 4,5 " => 4.5, "-1.5" => -1.5 }.each do |text, mm|
      assert_in_delta mm, Units::Length.parse(text, unit: :mm), 1e-9, text
    end
    assert_in_delta 4.0, Units::Length.parse("4 mm", unit: :inch), 1e-9
  end

  def test_what_is_no_length
    ["", "four", "4 kg", "4/0", "4 mm mm", "--4", "1e9 x", nil]
      .each { |text| assert_nil Units::Length.parse(text, unit: :mm), text.inspect }
  end

  def test_shown_and_typed_again_it_is_the_same
    for_all do |random|
      mm = (random.rand(1..4000) / 10.0).round(1)

      assert_in_delta mm, Units::Length.parse(Units::Length.words(mm, unit: :mm), unit: :inch), 0.001
      # Half a thousandth of an inch
      assert_in_delta mm, Units::Length.parse(Units::Length.show(mm, unit: :inch), unit: :inch), 0.013
    end
  end
end
