# frozen_string_literal: true

# Group: slow (long stories in a browser)

require_relative "../browser_helper"

# From the estimate to the customer's phone and back; an upgrade and what goes back for it.
class EstimateBrowserTest < BrowserTest
  PHONE = [390, 844].freeze

  def looked_over(machine, findings)
    job = take_in(machine)
    findings.each { |position, observed| record(job, position, observed) }
    Services::FinishLookOver.call(job.number, by: technician, at: NOW)
    job
  end

  def test_the_customer_asks_and_agrees_on_the_phone
    job = looked_over(new_machine(bought_on: today - 2000), { "pre-filter" => { torn: true } })
    sign_in
    visit "/jobs/#{job.number}"
    click_button "Put the estimate on the customer's page"

    assert_css ".slip", text: "holds until"
    resize(*PHONE)
    visit URI(Outbox::JobLink.of(job)).path
    fill_in "Your question", with: "Is it worth it?"
    click_button "Ask"

    assert_text "We will answer here, or call you."
    reply(job)
    resize(*PHONE)
    visit URI(Outbox::JobLink.of(job)).path

    assert_text "Yes, for years."
    assert_empty axe
    assert_operator evaluate_script("document.documentElement.scrollWidth"), :<=, 390
    fill_in "Call me above, $ (optional)", with: "60"
    find("button", text: "I agree to").click

    assert_text "Agreed by Wendel Testrup"
    assert_equal %w[settled page], job.refresh.values.values_at(:state, :agreed_how)
  end

  # Without any script: plain forms, and the same page.
  def test_it_works_without_scripts
    job = looked_over(new_machine(bought_on: today - 2000), { "pre-filter" => { torn: true } })
    Services::SendEstimate.call(job.number, by: technician, at: NOW)
    page.driver.browser.page.command("Emulation.setScriptExecutionDisabled", value: true)
    visit URI(Outbox::JobLink.of(job)).path
    find("button", text: "I agree to").click
    wait_for("the agreement") { job.refresh.state == "settled" }
  ensure
    page.driver.browser.page.command("Emulation.setScriptExecutionDisabled", value: false)
  end

  def test_an_upgrade_says_what_comes_out_and_goes_back
    machine = new_machine("Brackwater Loft K", bought_on: today - 2000)
    machine.update(allergy: true)
    job = looked_over(machine, { "exhaust-filter" => { torn: true } })
    sign_in
    visit "/jobs/#{job.number}"
    within("#item-#{item(job, 'exhaust-filter').id}") { find("button", text: "HEPA cassette with clip BW-5030").click }

    assert_css ".part-chosen", text: "takes out the plain sheet and the frame, which goes back to the customer labelled"
    click_button "Agreed: start work"

    assert_text "Goes back to the customer: plain sheet, frame"
    click_button "Fitted"
    wait_for("the cassette") { item(job, "exhaust-filter").state == "done" }
    close_it_up

    assert_css ".slip", text: "Give back to the customer, labelled: plain sheet, frame"
  end

  def test_a_spare_in_rotation_goes_home_without_waiting
    job = looked_over(new_machine(bought_on: today - 2000), { "pre-filter" => { grey: 5 } })
    sign_in
    visit "/jobs/#{job.number}"
    find("button", text: /Spare in rotation: .* now, this one washed for next time/).click
    click_button "Agreed: start work"
    click_button "Fitted; old one washed, to the rack"

    assert_text "Rack slot"
    close_it_up

    assert_css ".slip", text: /Their spare pre-motor filter is on rack slot/
  end

  private

  def reply(job)
    resize(1280, 800)
    visit "/"

    assert_css ".job-row", text: /#{job.number}.*Question.*Answer/m
    visit "/jobs/#{job.number}"
    fill_in "Reply, shown on their page", with: "Yes, for years."
    click_button "Reply as Ines Varga"

    assert_text "Yes, for years."
  end
end
