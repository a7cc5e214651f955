# frozen_string_literal: true

require_relative "../browser_helper"

# At the counter: scan, scan, pay; a clock that begins at home; a job called off; one that comes back.
class CounterBrowserTest < BrowserTest
  def test_scan_scan_pay_and_the_clock_at_home_begins
    machine = new_machine(bought_on: today - 900)
    part = Models::Part[best(machine, "pre-filter")]
    part.update(barcode: part.barcode || "4006381333931")
    Services::MoveStock.call(part, pieces: 3, kind: "received", by: owner, at: NOW)
    sign_in
    visit "/machines/#{machine.id}"
    click_link "Sell a part for it"
    scan(part.barcode)

    assert_css "td b", text: "1"
    scan(part.barcode)

    assert_css "td b", text: "2"
    assert_empty axe
    find(%(a[aria-label="One less: #{part.name}"])).click

    assert_css "td b", text: /\A1\z/
    assert_checked_field "fits the #{machine.to_core.position('pre-filter').name.downcase}"
    choose "card, on the till's device"
    click_button "Sell"

    assert_text "Paid."
    assert_equal today, Models::Fitting.in_place.first(machine_id: machine.id, position: "pre-filter").fitted_on
  end

  def test_what_is_not_on_file_is_said
    sign_in
    visit "/bills/sale?scan=NOTHING-1"

    assert_text "No part on file has the number or barcode NOTHING-1."
  end

  def scan(code)
    find_field("Scan, or type a part number").send_keys(code, :enter)
  end

  def best(machine, position)
    Services::FitFor.new(machine.to_core, machine,
      today: today).call([position]).fetch(position).candidates.first.part.id
  end
end
