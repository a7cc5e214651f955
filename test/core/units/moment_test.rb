# frozen_string_literal: true

require_relative "../../core_helper"

class MomentTest < CoreTest
  def words(date)
    Units::Moment.words(Time.utc(date.year, date.month, date.day, 9, 5), today: MONDAY)
  end

  def test_in_as_many_words_as_it_needs
    assert_equal ["today 09:05", "Tue 09:05", "Sun 09:05", "Sun 09:05", "9 Mar 09:05", "23 Feb 09:05"],
      [0, 1, 6, -1, 7, -7].map { |days| words(MONDAY + days) }
  end

  def test_amounts_to_the_cent
    assert_equal %w[$0.00 $0.05 $1.00 $1.01 $10.99 $123.40],
      [0, 5, 100, 101, 1099, 12_340].map { |cents| Money::Currency.of("USD").words(cents) }
  end
end
