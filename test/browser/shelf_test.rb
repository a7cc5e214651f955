# frozen_string_literal: true

require_relative "../browser_helper"

# The shelf with a scanner in the hand: a keyboard that types fast and ends each code with Enter.
class ShelfBrowserTest < BrowserTest
  def scan(*codes)
    codes.each { |code| press code, :Enter }
  end

  def test_what_is_short_is_ordered_and_received_scan_by_scan
    one, other = parts = %w[HD-2010 HD-2030].map { |number| part(number) }
    parts.each do |part|
      Services::CountStock.call(part, pieces: 0, reason: "test", by: owner, at: NOW)
      DB[:part_forecasts].where(part_id: part.id).delete
      DB[:part_forecasts].insert(part_id: part.id, days: 10, from_dues: 1, from_walk_ins: 0.5, level: 3,
        weeks: Sequel.pg_array([0.3] * 13, :real), walk_ins_a_week: 0.2, tasks: 4)
    end
    sign_in
    visit "/shelf/short"
    fill_in "Pieces of #{other.name} #{other.number}", with: "1"
    click_button "Order from #{one.supplier.name}"

    assert_css "h1", text: "Order"
    wait_for("the field") { focused == "scan" }
    scan one.barcode, other.number, one.barcode, "6291041500213", one.barcode

    assert_field "Received now of #{one.name} #{one.number}", with: "3"
    assert_field "Received now of #{other.name} #{other.number}", with: "1"
    scan "6291041500213"

    assert_css "#scanned", text: "is not on this order"
    click_button "Put on the shelf"
    wait_for("the shelf") { part("HD-2010").stock == 3 && part("HD-2030").stock == 1 }
  end

  def test_counted_as_fast_as_a_scanner_types
    one, other = %w[HD-2010 BW-5030].map { |number| part(number) }
    sign_in
    visit "/shelf/count"
    click_button "Start a count"
    wait_for("the field") { focused == "scan" }
    scan(*([one.barcode] * 7), *([other.barcode] * 4), "6291041500214", one.number.downcase)

    assert_css "#lines tr", text: /#{one.number}.*/m
    wait_for("the last scan") { Models::CountLine.select_hash(:part_id, :pieces) == { one.id => 8, other.id => 4 } }
    within("#lines tr", text: other.number) do
      fill_in "Pieces counted of #{other.name} #{other.number}", with: "2"
      click_button "Set"
    end

    assert_css "#lines tr", text: /#{other.number}.*#{format('%+d', 2 - other.stock)}/m
    assert_empty axe
    click_button "Apply the count"

    assert_css "[role=status]", text: "Count applied"
    assert_equal [8, 2], [one.refresh.stock, other.refresh.stock]
  end

  def test_a_misread_code_is_said_and_counts_nothing
    sign_in
    visit "/shelf/count"
    click_button "Start a count"
    wait_for("the field") { focused == "scan" }
    scan "6291041500214"

    assert_css "#scanned.stop-word", text: "check digit is wrong"
    assert_equal 0, Models::CountLine.count
  end

  def test_a_list_is_looked_at_before_it_changes_anything
    sign_in
    visit "/shelf/list"
    fill_in "Or paste its lines", with: "number,price\nHD-2010,18.20\n"
    click_button "Preview changes"

    assert_css "td", text: "price $16.50 → $18.20"
    assert_equal 1650, part("HD-2010").price_cents
    assert_empty axe
    click_button "Apply"

    assert_css "[role=status]", text: "1 changed"
    assert_equal 1820, part("HD-2010").price_cents
  end
end
