# frozen_string_literal: true

require_relative "../browser_helper"

# The shelf asked while typing and by scan, and an agreement that must be made again.
class FitBrowserTest < BrowserTest
  def test_what_fits_answers_while_typing_and_by_keys_alone
    sign_in
    visit "/shelf/fit"
    wait_for("the field") { focused == "fit-q" }
    press "loft k"

    assert_css "#fit-hits", text: "Brackwater Loft K"
    press :Down, :Enter

    assert_css "h2", text: "Brackwater Loft K"
    find(".ribbon-wide a[data-position=exhaust-filter]").click

    assert_css "#answer", text: "fits because listed for Brackwater Loft K"
    assert_css "#answer", text: "does not fit: made for body style C"
  end

  # A scanner is a keyboard that types fast and ends with Enter.
  def test_a_scanner_opens_the_part_and_receives_it
    sign_in
    visit "/"
    find("#main").trigger("focus")
    press "/"
    wait_for("the search") { focused == "find" }
    press part("BW-5030").barcode, :Enter

    assert_css "h1", text: "HEPA cassette with clip"
    before = part("BW-5030").stock
    fill_in "Pieces", with: "2"
    press :Enter

    assert_css "[role=status]", text: "#{before + 2} on the shelf"
  end

  def test_what_came_up_is_agreed_again_before_it_is_done
    job = settled({ "pre-filter" => { grey: 5 } })
    record(job, "roll", { bristles: "missing" })
    sign_in
    visit "/jobs/#{job.number}"

    assert_css "h3", text: "More than was agreed"
    within("#item-#{item(job, 'roll').id}") { find("button", text: "HD-2030").click }
    within("#item-#{item(job, 'roll').id}") { click_button "Fitted" }

    assert_css "#item-#{item(job, 'roll').id} [role=alert]", text: "agree it again first"
    fill_in "Call above, $", with: "90"
    choose "by phone"
    click_button "Agreed again"

    assert_no_css "h3", text: "More than was agreed"
    within("#item-#{item(job, 'roll').id}") { click_button "Fitted" }
    wait_for("the roll") { item(job, "roll").state == "done" }

    assert_equal 9000, Services::Quotes.agreed(job).call_above_cents
  end

  def test_choices_stand_side_by_side_with_price_and_promise
    job = take_in
    record(job, "pre-filter", { grey: 5 })
    Services::FinishLookOver.call(job.number, by: technician, at: NOW)
    sign_in
    visit "/jobs/#{job.number}"

    within("#item-#{item(job, 'pre-filter').id}") do
      assert_css "button", text: /Wash it and wait ready /
      assert_css "button", text: /New one now: Pre-motor filter, Dart M HD-2010 \$16.50 ready/
    end
    assert_css ".estimate", text: /Bench time, 15 min.*\$15.00/m
  end
end
