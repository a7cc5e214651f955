# frozen_string_literal: true

require_relative "../../core_helper"

class DayTest < CoreTest
  def test_days_and_what_is_none_however_long
    assert_equal Date.new(2026, 4, 5), Units::Day.parse("2026-04-05")
    ["", "soon", "2026-02-30", "9" * 20_000, "2026-04-05#{'x' * 20_000}", "\u0663"]
      .each { |text| assert_nil Units::Day.parse(text), text[0, 20] }
    assert_equal "5 Apr 2026", Units::Day.words(Date.new(2026, 4, 5))
  end

  # The day of the week is worth saying of the past week, and of a month to come.
  def test_the_weekday_of_what_is_near
    assert_equal ["22 Feb", "Mon 23 Feb", "Thu 2 Apr", "3 Apr"],
      [-8, -7, 31, 32].map { |days| Units::Day.near(MONDAY + days, today: MONDAY) }
  end

  # The year only when it is not this one.
  def test_in_as_many_words_as_a_screen_needs
    assert_equal ["yesterday", "today", "tomorrow", "Wed 4 Mar", "31 Dec", "1 Jan 2027", "31 Dec 2025"],
      [-1, 0, 1, 2].map { |days| Units::Day.near(MONDAY + days, today: MONDAY) } +
      [[2026, 12, 31], [2027, 1, 1], [2025, 12, 31]].map { |day| Units::Day.near(Date.new(*day), today: MONDAY) }
  end
end
