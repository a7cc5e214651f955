# frozen_string_literal: true

require "json"
require_relative "../../core_helper"

class Ean13Test < CoreTest
  # GS1's own worked example of the check digit, and ISBN-13's (both from memory).
  PUBLISHED = %w[6291041500213 9780306406157].freeze

  def test_published_examples
    assert_equal PUBLISHED, PUBLISHED.select { |number| Shelf::Ean13.valid?(number) }
  end

  # Every single wrong digit is caught; so are most neighbours that changed places, all but those that differ by five.
  def test_a_misread_digit_is_caught
    PUBLISHED.each do |number|
      13.times do |index|
        ("0".."9").each do |digit|
          refute Shelf::Ean13.valid?(number.dup.tap { |one| one[index] = digit }) unless number[index] == digit
        end
      end
    end

    refute Shelf::Ean13.valid?("629104150021")
    refute Shelf::Ean13.valid?("٦٢٩١٠٤١٥٠٠٢١٣")
  end

  def test_the_demos_own_numbers_are_for_use_within_a_shop
    numbers = JSON.parse(File.read(File.join(CoreAlone::ROOT, "demo/parts.json"))).map { |row| row["barcode"] }

    # 20 to 29: restricted circulation (GS1)
    assert(numbers.all? { |number| Shelf::Ean13.valid?(number) && number.start_with?("20") })
    assert_equal numbers.uniq, numbers
  end
end
