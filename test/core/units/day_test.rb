# frozen_string_literal: true

require_relative "../../core_helper"

class DayTest < CoreTest
  def test_days_and_what_is_none_however_long
    assert_equal Date.new(2026, 4, 5), Units::Day.parse("2026-04-05")
    ["", "soon", "2026-02-30", "9" * 20_000, "2026-04-05#{'x' * 20_000}", "\u0663"]
      .each { |text| assert_nil Units::Day.parse(text), text[0, 20] }
    assert_equal "5 Apr 2026", Units::Day.words(Date.new(2026, 4, 5))
  end
end
