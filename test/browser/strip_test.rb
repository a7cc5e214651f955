# frozen_string_literal: true

require_relative "../browser_helper"

# A cyclone stripped down over two days by two people, with one screw missing; the head of a commercial upright.
class StripBrowserTest < BrowserTest
  PICTURE = Dir[File.join(TestDatabase::ROOT, "docs/screenshots/*.png")].min

  def strip_of(job)
    visit "/jobs/#{job.number}/strip"
  end

  # The one button of the step in hand, by its key.
  def next_step(words)
    assert_button words
    press "d"
  end

  def test_a_cyclone_over_two_days_and_two_people
    job = settled({ "cyclone-gasket" => { state: "dirty" } })
    sign_in
    strip_of(job)

    assert_css ".strip-step", text: "Pry the clip ring off"
    assert_text "First, by hand: take the bin off, then draw the screen off."
    next_step "It is off"

    assert_css ".strip-step", text: "Undo the cyclone housing"
    next_step "All 12 are off"

    assert_css ".strip-step", text: "Open as far as needed"
    click_first "Take a picture"
    attach_file "pictures-clip-ring", PICTURE
    click_first "Add", kind: :button

    assert_css ".lane .pictures img", count: 1
    the_next_day_somebody_else(job)
    counts_one_too_few(job)
    finds_it(job)
  end

  # Where it was left: both steps open, and nothing in hand but the work.
  def the_next_day_somebody_else(job)
    Capybara.reset_sessions!
    sign_in "Tobiah Lund"
    strip_of(job)

    assert_css ".lane-out", count: 2
    assert_text "13 pieces on the tray, 2 steps open."
    do_all(job.refresh)
    strip_of(job)

    assert_css ".strip-step", text: "Undo the cyclone housing: the way back"
    assert_text "In first: cyclone gasket, then cones."
  end

  def counts_one_too_few(job)
    find("summary", text: "The count differs").click
    fill_in "count-fastener-0", with: "6"
    click_button "Back, as counted"

    assert_css ".slip-stop", text: "T8, 8 mm: 6 of 7"
    next_step "It is back"

    assert_css ".strip-step", text: "Count the tools"
    next_step "All on their hooks"

    assert_css ".strip-step", text: "Closed, and not all of it is there"
    visit "/jobs/#{job.number}"

    assert_no_button "Close up"
    assert_text "T8, 8 mm: 6 of 7: find it, or write why it goes like this."
  end

  def finds_it(job)
    click_link "To the tray"
    click_button "Found it"

    assert_css ".strip-step", text: "Everything is back"
    press "d"
    close_it_up

    assert_text "Closed up"
    assert_equal "closed_up", job.refresh.state
  end

  # Belt and rear strip: the guide bars have to come off, though nobody works at them.
  def test_guide_bars_are_listed_for_a_belt_and_a_rear_strip
    job = take_in(new_machine("Ostrel Stride 36"))
    record(job, "belt", {}, verdict: :clean)
    record(job, "brush-rear", {}, verdict: :clean)
    Services::FinishLookOver.call(job.number, by: technician, at: NOW)
    Services::Settle.call(job.number, agreed_name: "Wendel", agreed_how: "phone", by: technician, at: NOW)
    sign_in
    strip_of(job)

    assert_css ".lane", text: "Take the guide bars off"
    assert_equal ["Take the guide bars off", "Take the rear strip out", "Take the front strip out"],
      all(".lane h3").map { |head| head.text.lines.first.sub(/ (to come|on the tray)$/, "").strip }
  end

  def click_first(words, kind: :css)
    kind == :button ? first(:button, words, exact: true, visible: true).click : first("summary", text: words).click
  end
end
