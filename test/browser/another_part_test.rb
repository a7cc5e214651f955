# frozen_string_literal: true

require_relative "../browser_helper"

# A part from nowhere: written at the bench, fitted, taught, and offered to the next machine.
class AnotherPartTest < BrowserTest
  PLACE = "bin-seal"

  # Of a model that nobody has a sheet of: it begins with the air path of its kind.
  def unknown_machine
    sheet = Models::Sheet.first(maker: "Ewer", model_name: "Nine") ||
            Services::BeginSheet.call(maker: "Ewer", model: "Nine", kind: :upright, by: owner, at: NOW)
    customer = new_machine.customer
    Services::AddMachine.call(customer, sheet_id: sheet.id, by: owner, at: NOW)
  end

  def looked_over(machine = new_machine, place = PLACE)
    job = take_in(machine)
    record(job, place, { state: "torn" })
    Services::FinishLookOver.call(job.number, by: technician, at: NOW)
    job
  end

  def test_an_unknown_part_is_fitted_taught_and_offered_the_next_time
    machine = unknown_machine
    place = machine.to_core.walk.find { |one| one.kind == :seal }.key
    job = looked_over(machine, place)
    sign_in
    visit "/jobs/#{job.number}"

    assert_text "Nothing on file fits"
    within("#item-#{item(job, place).id}") { click_link "Another part" }
    click_button "Use this part"

    assert_text "A name is needed"
    assert_empty axe
    write_line

    assert_css ".part-chosen", text: "Seal cut from sheet"
    click_button "Agreed: start work"
    click_button "Fitted"
    click_button "It fits this model"

    assert_no_button "It fits this model"
    assert_match(/\AOWN-\d+\z/, Models::Part.first(name: "Seal cut from sheet").number)
    visit "/jobs/#{looked_over(unknown_machine, place).number}"

    assert_css ".part", text: /Seal cut from sheet.*tried here: it fits/m
  end

  def write_line
    fill_in "What it is", with: "Seal cut from sheet"
    fill_in "Price without tax, $", with: "6,50"
    fill_in "Where it was bought (optional)", with: "Harbour Rubber"
    click_button "Use this part"
  end

  def test_one_is_found_by_scan_and_put_back_with_the_reason
    job = looked_over
    sign_in
    visit "/jobs/#{job.number}/items/#{item(job, PLACE).id}/other"
    fill_in "other-q", with: part("HD-2010").barcode
    find(".hit", text: "HD-2010").click
    click_button "Agreed: start work"
    click_button "Fitted"
    find("summary", text: "It does not fit").click
    fill_in "Why not", with: "far too long"
    click_button "Take it out again"

    assert_text "Look-alikes that do not fit"
    find("summary", text: "Look-alikes").click

    assert_text "tried here, and it did not fit: far too long"
  end
end
