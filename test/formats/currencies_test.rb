# frozen_string_literal: true

require_relative "../test_helper"
require "money"

# Our table of currencies against that of the gem money (ISO 4217).
class CurrenciesTest < AppTest
  def test_each_is_written_as_the_gem_has_it
    Core::Money::Currency::ALL.each do |code, ours|
      theirs = ::Money::Currency.new(code)

      assert_equal [theirs.name, theirs.decimal_mark, theirs.subunit_to_unit], [ours.name, ours.mark, ours.units], code
      next if ours.sign == code # instead of a sign in a script that our print fonts do not have

      assert_equal [theirs.symbol, theirs.symbol_first], [ours.sign, ours.first], code
      assert_equal !theirs.format.nil?, ours.apart, code
    end
  end

  def test_a_sum
    words = { "USD" => "-$1234.05", "EUR" => "-€1234,05", "SEK" => "-1234,05 kr", "CHF" => "-CHF 1234.05",
              "JPY" => "-¥123405", "KWD" => "-KWD 123.405", "HUF" => "-123405 Ft" }

    words.each { |code, text| assert_equal text, Core::Money::Currency.of(code).words(-123_405) }
  end

  # What is written is read again, by all of them.
  def test_a_sum_that_is_typed
    Core::Money::Currency::ALL.each_value do |currency|
      [0, 1, 99, 1650, 99_999_999].each do |cents|
        assert_equal [cents, cents], [currency.cents(currency.plain(cents)), currency.cents(currency.words(cents))],
          currency.code
      end
    end
    read = ->(code, *typed) { typed.map { |text| Core::Money::Currency.of(code).cents(text) } }

    assert_equal [650, 650, 650, 600, nil, nil, nil, nil, nil], read.call("EUR", "6,50", "6.5", "€ 6,50", "6", "6,505",
      "x", "", "-6", "1000001")
    assert_equal [6505, 650, nil], [*read.call("KWD", "6,505"), *read.call("JPY", "650", "6.50")]
  end
end
