# frozen_string_literal: true

require_relative "../test_helper"

# Layouts as the posts of the countries print them in their guides to addressing (from memory).
class PostalAddressTest < AppTest
  def lines(country, from: country, **more)
    Formats::PostalAddress.new(name: "Edda Test", street: "Kiln Lane 3", town: "Pell Harbor", country: country,
      from: from, **more).lines
  end

  # Canada Post, United States Postal Service: town, province or state and code share a line.
  def test_behind_the_town
    %w[CA US AU].each do |country|
      assert_equal ["Edda Test", "Kiln Lane 3", "Pell Harbor NS B0X 0A1"],
        lines(country, region: "NS", postcode: "B0X 0A1")
    end
  end

  # Deutsche Post, La Poste, and the universal form.
  def test_before_the_town
    %w[DE FR AT CH NL].each do |country|
      assert_equal ["Edda Test", "Kiln Lane 3", "24999 Pell Harbor"], lines(country, postcode: "24999")
    end
  end

  # Royal Mail: the postcode is the last line.
  def test_on_a_line_of_its_own
    assert_equal ["Edda Test", "Kiln Lane 3", "Pell Harbor", "ZZ1 1ZZ"], lines("GB", postcode: "ZZ1 1ZZ")
  end

  # Universal Postal Union: what goes abroad ends with the country in capitals; what stays does not name it.
  def test_abroad
    assert_equal ["Edda Test", "Kiln Lane 3", "24999 Pell Harbor", "GERMANY"],
      lines("DE", from: "CA", postcode: "24999")
    assert_equal "Kiln Lane 3, Pell Harbor, UNITED KINGDOM",
      Formats::PostalAddress.new(street: "Kiln Lane 3", town: "Pell Harbor", country: "GB", from: "CA").in_a_row
  end

  def test_where_no_layout_is_known
    assert_nil ISO3166::Country["FJ"].address_format
    assert_equal ["Edda Test", "Kiln Lane 3", "777 Pell Harbor", "FIJI"], lines("FJ", from: "CA", postcode: "777")
    assert_equal ["Edda Test", "Kiln Lane 3", "777 Pell Harbor"], lines(nil, postcode: "777")
  end

  def test_what_is_not_known_takes_no_line
    assert_empty Formats::PostalAddress.new(country: "JP", from: "JP").lines
    assert_equal ["Pell Harbor"], Formats::PostalAddress.new(town: "Pell Harbor", from: "CA").lines
  end

  def test_a_customer_without_a_country_lives_in_the_shops
    shop = Models::Shop.new(name: "Shop", street: "Quay 1", town: "Pell Harbor", country: "DE", postcode: "24999")
    customer = Models::Customer.new(name: "Edda Test", street: "Kiln Lane 3", town: "Pell Harbor", postcode: "24998")

    assert_equal "Edda Test\nKiln Lane 3\n24998 Pell Harbor", customer.recipient("post", shop)
    assert_equal "Shop, Quay 1, 24999 Pell Harbor", shop.sender
    customer.country = "FR"

    assert_equal "FRANCE", customer.recipient("post", shop).lines.last
  end
end
