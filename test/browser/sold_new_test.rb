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

  # Bought elsewhere: the shop gives a code, the customer types what they have, the counter puts it on file.
  def test_a_customer_registers_what_they_bought_elsewhere
    sign_in
    visit "/machines/new"
    click_link "Let the customer register it"
    click_button "Give a code"
    address = URI(find(".hint.mono").text).path

    Capybara.using_session(:customer) { register_at(address) }

    visit "/registrations"

    assert_text "Ottoline Brandt, Hallmoor Dart M, REG-9"
    click_link "Look at it and put it on file"

    assert_field "Name", with: "Ottoline Brandt"
    click_button "Put it on file"

    assert_text "It is on file. Its clocks run from"
    machine = Models::Machine.first(serial_number: "REG-9")

    assert_equal [7.0, true, ["pets"]],
      [machine.hours_per_week.to_f, machine.customer.email_agreed, machine.traits.to_a]
    Capybara.using_session(:customer) do
      visit address

      assert_text "Your machine is on our book"
    end
  end

  def register_at(address)
    visit address

    assert_empty axe
    click_button "Send it to the shop"

    assert_text "is needed"
    fill_in "Maker and model", with: "Hallmoor Dart M"
    fill_in "Serial number", with: "REG-9"
    fill_in "Bought on", with: today - 20
    fill_in "Hours of use a week", with: "7"
    check "pets that shed"
    fill_in "Your name", with: "Ottoline Brandt"
    fill_in "E-mail", with: "ob@example.org"
    check "by e-mail"
    click_button "Send it to the shop"

    assert_text "Thank you. We look at it"
  end
end
