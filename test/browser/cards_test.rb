# frozen_string_literal: true

# Group: slow (long stories in a browser)

require_relative "../browser_helper"

# A batch from the horizon to its end, the words on it, and what comes back.
class CardsBrowserTest < BrowserTest
  def setup
    super
    always_open
    Models::Due.running.update(snoozed_until: today + 1000)
  end

  def due_in(days, **fields)
    machine = new_machine("Brackwater Loft K", **fields)
    Services::SetClocks.call(machine, on: today)
    Models::Due.running.where(machine_id: machine.id).update(due_on: today + days, early_on: today,
      late_on: today + days)
    machine.customer
  end

  def test_a_batch_with_those_left_out_paused_and_gone_on_with
    due_in(5, name: "Aldous Reached")
    due_in(5, name: "Brynja Skipped")
    due_in(40, name: "Casimir Later", email_agreed: false, text_agreed: true, phone: "555-0123")
    due_in(5, name: "Delphine Unasked", email_agreed: false)
    sign_in
    visit "/cards"
    find("svg.horizon-wide a[href='/cards?until=#{today + 34}']").click

    assert_css "h2", text: "Leaving until"
    assert_css ".batch-card", count: 3
    assert_text "Delphine Unasked: has not agreed to any channel"
    within(".batch-card", text: "Casimir Later") { click_link "Preview" }

    assert_css "#preview .letter", text: "By text message"
    assert_css "#preview .letter", text: /\d+ characters: \d messages?/
    click_button "Untick all"

    assert_button "Schedule 0 cards"
    click_button "Tick all"

    assert_button "Schedule 3 cards"
    uncheck "Brynja Skipped"
    click_button "Schedule 2 cards"

    assert_text "Writing the cards"
    click_button "Pause"

    assert_text "Paused: 0 of 0 done."
    click_button "Continue"

    assert_text "Writing the cards"
    Services::WriteBatch.call(Models::Batch.order(:id).last, at: NOW)

    assert_text "Sending: 0 of 2 done."
    Outbox::Round.new(Models::Batch.max(:id)).call

    assert_text "1 sent"
    assert_text "1 leave later, the next"
    click_button "Cancel what has not left"

    assert_text "Cancelled"
    assert_text "Casimir Later, text message: not sent"
    assert_empty axe
  end

  def test_words_are_seen_with_real_customers_before_they_are_kept
    sign_in
    visit "/cards/words"
    fill_in "To replace", with: "a fresh {part}"
    click_button "Preview with real customers"

    assert_css "#words-preview .letter", text: "a fresh"
    fill_in "To replace", with: "a fresh {prat}"
    click_button "Preview with real customers"

    assert_css "#words-preview", text: /knows no {prat}/
    click_button "Save"

    assert_css ".field-error", text: /To replace knows no {prat}; there is {part}/
    fill_in "To replace", with: "a fresh {part}"
    click_button "Save"

    assert_text "Saved."
    assert_equal [["replace", "a fresh {part}"]], Models::Wording.where(language: "en").select_map(%i[name template])
  end

  def test_answers_in_one_line_and_a_call
    one = due_in(5, name: "Aldous Oneline")
    two = due_in(5, name: "Brynja Oneline", email_agreed: false, phone_agreed: true, phone: "555-0188")
    write_batch.then { |batch| Outbox::Round.new(batch.id).call }
    sign_in
    visit "/cards/answers"
    fill_in "Who said what", with: "oneline comes tomorrow: with the hose"
    find_field("Who said what").send_keys(:enter)

    assert_text "may be any of those below"
    click_button "Aldous Oneline"

    assert_text "Aldous Oneline: I will come by."
    assert_equal [[today + 1, "booked"]], Models::Booking.where(customer_id: one.id).select_map(%i[drop_off_on state])
    click_link "Calls"

    assert_css ".call", text: "555-0188"
    within(".call", text: "Brynja Oneline") { click_button "Not reached" }

    assert_text "Not reached 1 time"
    within(".call", text: "Brynja Oneline") { click_button "Do not call again" }

    assert_text "Nobody to call"
    assert_equal [today, false], two.refresh.values.values_at(:stopped_on, :phone_agreed)
  end

  def test_a_customer_names_a_day_moves_it_and_stops
    due_in(5, name: "Aldous Booking")
    visit URI(Outbox::Letters.link(write_batch.cards.first)).path
    select (today + 2).strftime("%A, %-d %B"), from: "I will come by on"
    click_button "I will come by"

    assert_text "You bring a machine on #{(today + 2).strftime('%A, %-d %B')}"
    select (today + 3).strftime("%A, %-d %B"), from: "I will come by on"
    click_button "I will come by"

    assert_text "You bring a machine on #{(today + 3).strftime('%A, %-d %B')}"
    assert_empty axe
    click_button "Stop writing to me"

    assert_text "You told us: I will come by, Stop writing to me"
    assert_equal 1, Models::Booking.booked.where(drop_off_on: today + 3).count
  end

  # The customer's own page, in a browser that runs no scripts.
  def test_a_customer_answers_and_stops_without_scripts
    customer = due_in(5, name: "Aldous Plain")
    card = write_batch.cards.first
    without_scripts do
      visit URI(Outbox::Letters.link(card)).path
      find("summary", text: "Why then?", match: :first).click

      assert_css "details[open] li"
      fill_in "A word to us, if you like", with: "after lunch"
      select (today + 2).strftime("%A, %-d %B"), from: "I will come by on"
      click_button "I will come by"

      assert_text "You bring a machine on #{(today + 2).strftime('%A, %-d %B')}"
      click_button "Stop writing to me"

      assert_text "You told us: I will come by, Stop writing to me"
    end

    assert_equal [today, "after lunch"], [customer.refresh.stopped_on, card.answers_dataset.order(:id).first.note]
  end
end
