# frozen_string_literal: true

require_relative "../browser_helper"

# A machine sold new, in one form; then it is on file with its clocks running.
class SoldNewBrowserTest < BrowserTest
  def test_one_form_and_its_clocks_run
    sign_in
    visit "/bills"
    click_link "Sold new"

    assert_empty axe
    fill_in "Name", with: "Ottoline Brandt"
    fill_in "Model", with: "Hallmoor Dart M"
    fill_in "Serial no.", with: "NEW-77"
    fill_in "Price without tax, $ (empty: no bill)", with: "349"
    choose "card, on the till's device"
    click_button "Put it on file"

    assert_text "Its clocks run from today"
    assert_css "table", text: "replace:"
    bill = Models::Bill.first(machine_id: Models::Machine.first(serial_number: "NEW-77").id)

    assert_equal [34_900, 0], [bill.net_cents, Services::Balance.of(bill)]
  end
end
