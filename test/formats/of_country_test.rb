# frozen_string_literal: true

require_relative "../test_helper"

# Currencies by ISO 3166 and 4217, as the gem countries has them; inches in the United States, Liberia and Myanmar (from
# memory).
class OfCountryTest < AppTest
  def test_what_a_country_decides
    assert_equal({ "currency" => "EUR" }, Formats::OfCountry.rules("DE"))
    assert_equal({ "currency" => "USD", "length_unit" => "inch", "sheets" => "letter", "card_size" => "inch_4x6",
                   "date_order" => "mdy", "clock" => "12", "week_start" => "sun" }, Formats::OfCountry.rules("US"))
    assert_equal({ "currency" => "CAD", "sheets" => "letter", "card_size" => "inch_4x6", "date_order" => "ymd",
                   "clock" => "12", "week_start" => "sun" }, Formats::OfCountry.rules("CA"))
    assert_empty Formats::OfCountry.rules("NG"), "a currency that the shop cannot count in"
  end

  # What is decided is a value that the settings have.
  def test_every_country_decides_what_there_is
    ISO3166::Country.codes.each do |code|
      Formats::OfCountry.rules(code).each do |key, value|
        assert Core::Policies::Table.fetch(key).options.key?(value), "#{code}: #{key} #{value}"
      end
    end
  end

  # Austria has one in the IANA database, the United States many.
  def test_the_only_zone_of_a_country
    assert_equal ["Europe/Vienna", nil, nil], %w[AT US XX].map { |code| Formats::TimeZones.only_one_of(code) }
  end
end
