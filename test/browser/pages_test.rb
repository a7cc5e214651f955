# frozen_string_literal: true

require_relative "../browser_helper"
require_relative "../support/main_pages"

# Pages in the dim room, and what the keys do on them. What holds for each page is in every_page_test.
class PagesTest < BrowserTest
  include MainPages

  def test_axe_finds_nothing_in_the_dim_room_either
    Models::Person.dataset.update(theme: "dim")
    sign_in
    found = ["/", "/take-in?new=1", pages.grep(/look-over/).first, "/cards", "/rack", *pages.grep(%r{/jobs/\d+\z})]
      .to_h do |path|
      visit path
      [path, axe]
    end

    assert_empty(found.reject { |_, violations| violations.empty? })
  end

  def test_keys_from_anywhere
    sign_in
    visit "/"
    { "t" => "/take-in", "r" => "/rack", "s" => "/shelf", "c" => "/cards", "u" => "/customers", "h" => "/sheets",
      "b" => "/" }.each do |key, path|
      find("#main").trigger("focus")
      execute_script("document.activeElement.blur()")
      press key

      assert_current_path path
    end
    press "?"

    assert_css "dialog[open]", text: "Keys"
    press :Escape
    press "/"
    wait_for("the search") { focused == "find" }
    number = Models::Job.in_shop.get(:number)
    press "J#{number}", :Enter

    assert_current_path "/jobs/#{number}"
  end

  def test_two_people_on_one_finding
    job = take_in
    sign_in
    visit "/jobs/#{job.number}/look-over?at=pre-filter"
    record(job, "pre-filter", { grey: 5 })
    find("#pre-filter-grey-1", visible: :all).trigger("click")

    assert_css "[role=alert]", text: "#{technician.name} recorded"
    assert_predicate find("#pre-filter-grey-1", visible: :all), :checked?
    assert_equal 5, Models::Finding.first(job_id: job.id).seen[:grey]
    find("#pre-filter-smell", visible: :all).trigger("click")
    wait_for("the second try") { Models::Finding.first(job_id: job.id).seen == { grey: 1, smell: true } }
  end

  def test_an_own_verdict_by_digit_and_back_to_the_rule
    job = take_in
    sign_in
    visit "/jobs/#{job.number}/look-over?at=pre-filter"
    wait_for("the place in hand") { focused == "row-pre-filter" }
    press :Enter
    press "1"
    wait_for("the rule's mark") { Models::Finding.first(job_id: job.id)&.verdict == "clean" }

    assert_css "#row-pre-filter .verdict", text: "clean"
    press :Up
    wait_for("the place before") { focused == "row-cyclone-gasket" }
    press :Down
    wait_for("the place in hand") { focused == "row-pre-filter" }
    press "4"

    assert_css "#row-pre-filter .verdict", text: "Marked by Ines Varga"
    find(:css, "#verdict-pre-filter-replace").click

    assert_no_css "#row-pre-filter .verdict", text: "Marked by"
    assert_equal ["clean", false], Models::Finding.first(job_id: job.id).values.values_at(:verdict, :own_verdict)
  end

  # The ear that every browser test leans on: it hears a refused style, a thrown error, and a written one.
  def test_complaints_of_the_browser_are_heard
    sign_in
    visit "/"
    execute_script("document.body.insertAdjacentHTML('beforeend', '<p style=\"color: red\">x</p>')")
    wait_for("the refused style") { COMPLAINTS.all.any?(/style/) }
    execute_script("console.error('written')")
    wait_for("the written error") { COMPLAINTS.all.any?(/written/) }

    assert_predicate self, :thrown_error_heard?
    COMPLAINTS.clear
  end

  def test_the_walk_by_arrows_goes_through_every_place_and_back
    job = take_in
    sign_in
    visit "/jobs/#{job.number}/look-over?at=roll"
    order = job.sheet.walk.map(&:key)
    order.each_with_index do |key, index|
      wait_for(key) { focused == "row-#{key}" }
      press :Down unless index == order.size - 1
    end
    press :Left
    wait_for("the station before") { focused == "row-battery" }
    press :Right
    wait_for("the last station") { focused == "row-post-filter" }
  end

  def test_a_measure_out_of_range_is_named_beside_its_field_and_can_be_mended
    job = take_in(new_machine("Ostrel Stride 36"))
    sign_in
    visit "/jobs/#{job.number}/look-over?at=brush-front"
    fill_in "brush-front-standout_mm", with: "400"
    press :Enter

    assert_css "#brush-front-standout_mm-error", text: "400 mm is not likely here"
    assert_field "brush-front-standout_mm", with: "400"
    click_button "Did you mean 4 mm?"

    assert_css "#row-brush-front .verdict", text: "set the height dial to 2"
  end

  def test_complaints_are_picked_and_unpicked
    sign_in
    visit "/take-in?machine_id=#{new_machine.id}"
    click_button "pulses"
    click_button "smells"

    assert_field "Complaint", with: "pulses, smells"
    assert_css "button[aria-pressed=true]", text: "smells"
    click_button "pulses"

    assert_field "Complaint", with: "smells"
  end

  private

  # The driver raises a thrown error by itself, at this call or at one of the next.
  def thrown_error_heard?
    execute_script("setTimeout(() => { throw new Error('thrown') })")
    20.times { evaluate_script("1") && sleep(0.05) }
    COMPLAINTS.all.any?(/thrown/)
  rescue Ferrum::JavaScriptError => e
    e.message.include?("thrown")
  end
end
