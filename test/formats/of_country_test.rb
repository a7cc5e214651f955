# frozen_string_literal: true

require_relative "../test_helper"

# Currencies by ISO 3166 and 4217, as the gem countries has them; inches in the United States, Liberia and Myanmar (from
# memory).
class OfCountryTest < AppTest
  def test_what_a_country_decides
    assert_equal({ "currency" => "EUR" }, Formats::OfCountry.rules("DE"))
    assert_equal({ "currency" => "USD", "length_unit" => "inch", "sheets" => "letter",
                   "card_size" => "inch_4x6" },
      Formats::OfCountry.rules("US"))
    assert_equal({ "currency" => "CAD", "sheets" => "letter", "card_size" => "inch_4x6" }, Formats::OfCountry.rules("CA"))
    assert_empty Formats::OfCountry.rules("NG"), "a currency that the shop cannot count in"
  end
end
