# frozen_string_literal: true

# Group: slow (long stories in a browser)

require_relative "../browser_helper"

# Visits that do not go as planned, as a customer and the counter live them.
class VisitsThatChangeTest < BrowserTest
  def looked_over(machine = new_machine, findings = { "pre-filter" => { torn: true }, "bin-seal" => { state: "torn" } },
    **more)
    job = take_in(machine, **more)
    findings.each { |place, seen| record(job, place, seen) }
    Services::FinishLookOver.call(job.number, by: technician, at: NOW)
    job
  end

  def settled(job = looked_over)
    Services::Settle.call(job.number, agreed_name: "Anna", agreed_how: "counter", by: technician, at: NOW)
    job
  end

  def closed_up(job = settled)
    job.work_items_dataset.each do |item|
      Services::DoWorkItem.call(job.number, item.id, by: technician, at: NOW) if item.to_do?
    end
    close_job(job)
    job
  end

  def show(job)
    sign_in
    visit "/jobs/#{job.number}"
  end

  def bill_of(job)
    Models::Bill.where(job_id: job.id).reverse(:number).first
  end

  MOST_KEYSTROKES = 20

  def test_from_settle_to_bill_by_keyboard
    job = looked_over
    show(job)
    keys = job.work_items_dataset.where(state: "to_do").count + 4 # agreed, each line, gone, closed up, handed over
    keys.times { press_on_to_the_next_page }

    assert_text "Handed over"
    assert_operator keys, :<=, MOST_KEYSTROKES
    assert_equal 0, Services::Balance.of_job(job)
  end

  def test_one_line_is_dropped_after_agreeing
    job = settled
    dropped = item(job, "bin-seal")
    show(job)

    assert_text "to pay if it ended now $0.00"
    within("#item-#{dropped.id}") { click_button "The customer drops it" }

    assert_css "#item-#{dropped.id}", text: "Left as it is"
    click_button "Fitted"
    close_it_up
    choose "card, on the till's device"
    click_button "Hand over"

    assert_text "Handed over"
    parts = bill_of(job).to_lines.select { |line| line.kind == :part }

    assert_equal [item(job, "pre-filter").part.name], parts.map(&:words)
  end

  def test_a_job_is_called_off
    job = settled
    show(job)
    first(:button, "Fitted").click
    find("summary", text: "The customer calls it off").click
    fill_in "Why", with: "bought a new one"
    click_button "Call it off"

    assert_no_text "Still to do"
    close_it_up

    assert_text "Called off: bought a new one"
    click_button "Hand over"

    assert_text "paid"
    assert_equal 1, bill_of(job).to_lines.count { |line| line.kind == :part }
  end

  def test_a_comeback_at_the_shops_cost
    before = closed_up
    Services::HandOver.call(before.number, missing_note: "none", way: "cash", by: owner, at: NOW)
    sign_in
    visit "/take-in?machine_id=#{before.machine_id}"

    assert_text "Last here"
    assert_empty axe
    check "It comes back: our guarantee holds until", allow_label_click: true
    fill_in "Complaint", with: "still weak"
    check "None of these", allow_label_click: true
    check "Made safe", allow_label_click: true
    click_button "Take it in"

    assert_text "0 of 13 places looked at"
    job = Models::Job.where(machine_id: before.machine_id).reverse(:id).first

    assert_equal [before.id, 100], [job.comeback_of, job.discount_percent.to_i]
    record(job, "bin-seal", { state: "torn" })
    Services::FinishLookOver.call(job.number, by: technician, at: NOW)

    assert_equal 0, Services::Quotes.of(job.refresh, job.work_items).total_cents
  end

  def test_three_bags_are_brought_along
    machine = new_machine("Brackwater Loft K")
    bag = machine.to_core.walk.find { |place| place.kind == :bag }.key
    job = looked_over(machine, { bag => { fill_percent: 90 } }, accessories: { "bags" => 3 })
    show(job)
    find(".part", text: "Fit the one they brought").click
    click_button "Agreed: start work"
    click_button "Fitted"
    close_it_up
    fill_in "bags", with: "2"
    click_button "Hand over"

    assert_text "Handed over"
    assert_equal today, Models::Fitting.in_place.first(machine_id: machine.id, position: bag).fitted_on
  end

  def test_what_was_asked_for_on_a_card_goes_by_post_and_its_clock_begins
    machine, card = asked_for_on_a_card
    sign_in
    visit "/cards/answers"
    within("li", text: machine.customer.name, match: :first) { click_link "Pack a parcel" }
    first(".hit", text: fitting(machine).name).click
    fill_in "Postage without tax, $", with: "6,50"
    click_button "Pack a parcel"

    assert_text "Packed."
    assert_empty axe
    click_button "It is sent"
    click_button "It is fitted"

    assert_text "fitted at home today"
    assert_equal today, Models::Fitting.in_place.first(machine_id: machine.id, position: "pre-filter").fitted_on
    refute_includes Queries::PartsToSend.call.map(&:card_id), card.id
  end

  def test_a_fleets_month_is_on_account_and_paid_together
    job = closed_up
    job.machine.customer.update(fleet: true)
    show(job)

    assert_checked_field "later, on account"
    click_button "Hand over"

    assert_text "to pay"
    visit "/customers/#{job.customer_id}"
    click_link bill_of(job).title
    choose "bank transfer"
    click_button "Take payment"

    assert_text "Paid."
  end

  def test_a_bill_is_taken_back_and_the_drawer_is_counted
    job = closed_up
    Services::HandOver.call(job.number, missing_note: "none", way: "cash", by: owner, at: NOW)
    expected = Services::CountDrawer.expected
    sign_in
    visit "/bills/#{bill_of(job).number}"

    assert_empty axe
    find("summary", text: "Take this bill back").click
    fill_in "Why, as it stands on the credit note", with: "wrong filter"
    click_button "Write the credit note"

    assert_text "Takes back bill"
    click_button "Give it back"

    assert_text "Paid."
    visit "/bills"
    fill_in "Counted, $", with: format("%.2f", (expected - bill_of(job).total_cents.abs)/100r)
    fill_in "Left in it, $", with: "0"
    click_button "Count the drawer"

    assert_text "The drawer is counted."
  end

  private

  # @return [Array(Models::Machine, Models::Card)] whose customer asked on the card's page for the part
  def asked_for_on_a_card
    machine = new_machine(bought_on: today - 900, name: "Postal Customer")
    machine.customer.update(email: "postal@example.org", email_agreed: true, street: "Quay 4", town: "Lorn")
    Services::MoveStock.call(fitting(machine), pieces: 2, kind: "received", by: owner, at: NOW)
    Services::SetClocks.call(machine, on: today)
    card = write_card(machine.customer)
    due = Models::Due.running.first(machine_id: machine.id, position: "pre-filter", action: "replace")
    Models::CardLine.unrestrict_primary_key
    Models::CardLine.create(card_id: card.id, due_id: due.id, attempt: 1, leaves_on: today)
    visit URI(Outbox::Letters.link(card)).path
    click_button "Please send me the part"
    [machine, card]
  end

  def press_on_to_the_next_page
    execute_script("window.before = true")
    press "d"
    wait_for("the next page") { evaluate_script("!window.before && document.readyState === 'complete'") }
  end

  def fitting(machine)
    answer = Services::FitFor.new(machine.to_core, machine, today: today).call(["pre-filter"]).fetch("pre-filter")
    Models::Part[answer.candidates.first.part.id]
  end
end
