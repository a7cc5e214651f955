# frozen_string_literal: true

# Needs: poppler-utils

require_relative "../test_helper"
require_relative "../support/as_staff"
require "open3"

# The shop's own tax classes, prices that hold their tax, and currencies of other decimals: from the settings to
# the bill.
class TaxTest < DatabaseTest
  include AsStaff

  def setup
    sign_in
    @part = Models::Part.first(number: "HD-2010")
  end

  def settings(**more)
    typed = Screens::Settings::SettingsForm.typed_from(Services::Policies.now)
    submit "/settings", typed.merge(more.transform_keys(&:to_s))
  end

  def handbooks(name: "Handbooks", percent: "5,5")
    settings(taxed: { "0" => { "key" => "class-1", "name" => name, "percent" => percent } })
  end

  def change_part(**more)
    typed = Screens::Shelf::PartForm.typed_from(@part.refresh)
    submit "/shelf/#{@part.id}/change", typed.compact.merge(more.transform_keys(&:to_s)), from: "/shelf/#{@part.id}"
  end

  def sold(postage: 0)
    Services::SellOverCounter.call(pieces: { @part.id => 1 }, way: "cash", request_key: SecureRandom.uuid,
      by: owner, at: NOW, postage_cents: postage)
  end

  def test_a_class_is_added_given_to_a_part_and_billed
    settings(part_tax_percent: "19", taxed: { "0" => { "name" => "Handbooks", "percent" => "5,5" } })

    assert_equal [["class-1", "Handbooks", "5.5"]], Services::Policies.now.tax_classes.map { |known| known.to_h.values }
    change_part(price: "20", tax_class: "class-1")

    assert_equal 303, status
    bill = sold(postage: 1000)

    assert_equal [["19", 1000, 190], ["5.5", 2000, 110]], bill.tax_rows.map { |row| row.to_h.values }
    get "/shelf/#{@part.id}/change"

    assert_says(/Handbooks, 5\.5 %/)
  end

  def test_a_class_that_parts_belong_to_stays
    handbooks
    change_part(tax_class: "class-1")
    settings(taxed: { "0" => { "key" => "class-1", "name" => "" } })

    assert_equal 422, status
    assert_says(/Parts are taxed as Handbooks/)
    change_part(tax_class: "")
    settings(taxed: {})

    assert_equal [303, []], [status, Services::Policies.now.tax_classes]
  end

  def test_a_class_that_cannot_be_read_is_refused
    [{ percent: "x" }, { percent: "100" }, { percent: "" }, { name: "x" * 61 }].each do |wrong|
      handbooks(**wrong)

      assert_equal 422, status, wrong.inspect
    end
    settings(taxed: Array.new(2) { |row| [row.to_s, { "key" => "class-1", "name" => "Twice", "percent" => "5" }] }.to_h)

    assert_equal [422, []], [status, Services::Policies.now.tax_classes]
    change_part(tax_class: "class-9")

    assert_equal [422, nil], [status, @part.refresh.tax_class]
  end

  def test_prices_with_tax_are_what_is_paid
    settings(part_tax_percent: "19", prices: "with_tax")
    change_part(price: "11,90")
    bill = sold

    assert_equal [1190, 1000, 190], [bill.total_cents, bill.net_cents, bill.tax_cents]
    get "/bills/#{bill.number}"

    assert_says(/Total.*\$11\.90.*Includes tax 19 %.*\$1\.90/m)
    get "/bills/#{bill.number}/bill.pdf"

    text, = Open3.capture2("pdftotext", "-layout", "-", "-", stdin_data: page, binmode: true)

    assert_match(/Total +\$11\.90\s+Includes tax 19 % on \$10\.00 +\$1\.90/, text)
    get "/bills/sale?scan=HD-2010&customer_id=#{Models::Customer.first.id}"

    assert_says(/Postage with tax/)
  end

  def test_sums_without_cents_and_with_thousandths
    settings(currency: "JPY", part_tax_percent: "0")
    change_part(price: "1650")

    assert_equal [1650, "¥1650"], [@part.refresh.price_cents, Services::Policies.now.currency.words(sold.total_cents)]
    change_part(price: "16.50")

    assert_says(/is a sum, for example 1650/)
    settings(currency: "KWD")
    change_part(price: "1.5")

    assert_equal 1500, @part.refresh.price_cents
    get "/shelf/list.csv"

    assert_includes page, ",1.500,"
    assert_equal 60_000, Services::Policies.now.money.rate_cents_an_hour
  end
end
