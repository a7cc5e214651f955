# frozen_string_literal: true

require_relative "../test_helper"
require "money"

# Our table of currencies against that of the gem money (ISO 4217).
class CurrenciesTest < AppTest
  def test_each_is_written_as_the_gem_has_it
    Core::Money::Currency::ALL.each do |code, ours|
      theirs = ::Money::Currency.new(code)

      assert_equal [theirs.name, theirs.symbol, theirs.symbol_first, theirs.decimal_mark, 100],
        [ours.name, ours.sign, ours.first, ours.mark, theirs.subunit_to_unit], code
      assert_equal !theirs.format.nil?, ours.apart, code
    end
  end

  def test_a_sum
    words = { "USD" => "-$1234.05", "EUR" => "-€1234,05", "SEK" => "-1234,05 kr", "CHF" => "-CHF 1234.05" }

    words.each { |code, text| assert_equal text, Core::Money::Currency.of(code).words(-123_405) }
  end
end
