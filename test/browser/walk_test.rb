# frozen_string_literal: true

# Group: slow (long stories in a browser)

require_relative "../browser_helper"
require_relative "../support/on_the_walk"

# Two people on one machine, a server that stumbles, and a walk that leaves places out.
class WalkBrowserTest < BrowserTest
  include OnTheWalk

  # Key by key, so that nothing is saved before Enter.
  def type_into(id, *keys)
    find("##{id}").click
    press(*keys)
  end

  def test_two_technicians_see_each_others_findings_without_a_reload
    job = take_in
    [["Tobiah Lund", :left], ["Marit Oyelaran", :right]].each do |name, session|
      Capybara.using_session(session) do
        sign_in(name)
        walk(job, "bin-seal")
      end
    end
    Capybara.using_session(:left) { tap_on("bin-seal-state-dirty") }
    Capybara.using_session(:right) do
      assert_css "#row-bin-seal .verdict", text: "Tobiah Lund"
      assert_css "#outcome", text: "1 of 13 places looked at"
      type_into("bin-fill_percent", "8") # half typed, not saved
    end
    Capybara.using_session(:left) { type_into("bin-fill_percent", "90", :Enter) }
    wait_for("the left one's bin") { finding(job, "bin") }
    Capybara.using_session(:right) do
      assert_css "#outcome", text: "2 of 13 places looked at"
      assert_field "bin-fill_percent", with: "8"
      press("0", :Enter)

      assert_css "#row-bin [role=alert]", text: "Tobiah Lund recorded"
      assert_field "bin-fill_percent", with: "80"
    end

    assert_equal 90, finding(job, "bin").seen[:fill_percent]
  end

  def test_places_are_left_out_with_a_reason_and_the_rest_is_fine
    job = take_in
    sign_in
    walk(job, "neck")
    wait_for("the neck") { focused == "row-neck" }
    press "k"
    wait_for("the reasons") { evaluate_script("document.activeElement.value") == "not fitted" }
    press :Tab
    press :Space

    assert_css "#row-neck .verdict", text: "Skipped: cannot be reached"
    find("#row-neck").send_keys("f")

    assert_css "#row-roll .verdict", text: "The roll spins freely."
    within("#outcome") { assert_text "Skipped: neck (cannot be reached)" }
    within("#outcome") { click_link "neck" }
    click_button "Look at it after all"

    refute_css "#row-neck .verdict"
    assert_equal ["roll"], Models::Finding.where(job_id: job.id).select_map(:position)
    assert_empty Models::Skip.where(job_id: job.id)
  end

  def test_what_was_found_last_time_stands_beside_todays
    first = take_in(new_machine("Ostrel Stride 36"))
    record(first, "brush-front", { standout_mm: 6 })
    first.update(state: "handed_over")
    sign_in
    Services::SavePolicies.call({ "length_unit" => "inch" }, by: owner, at: NOW)
    walk(take_in(first.machine), "brush-front")

    assert_css "#row-brush-front .due-note", text: "bristles beyond the guide bars 0.236 in"
    fill_in "brush-front-standout_mm", with: "1/4"
    press :Enter

    assert_css "#row-brush-front .verdict", text: "Bristles stand 0.25 in proud"
  end

  # What the server cannot take today it may take tomorrow: an answer that says neither "taken" nor what is wrong ends
  # nothing, and the other places go on.
  def test_an_entry_that_the_server_stumbles_over_is_kept_and_tried_again
    COMPLAINTS.expect(/status of 500/)
    job = take_in
    sign_in
    walk(job, "roll")
    stumbles = 2
    browser = page.driver.browser
    browser.network.intercept(pattern: "*/findings/roll*")
    browser.on(:request) do |request|
      stumbles -= 1
      stumbles >= 0 ? request.respond(responseCode: 500, body: "Internal error") : request.continue
    end
    tap_on("roll-turns-drags")

    assert_css "#offline", text: "1 entry is kept in this browser: the server could not take it (error 500)"
    tap_on("neck-state-partly")
    wait_for("the neck") { finding(job, "neck") }

    assert_nil finding(job, "roll")
    click_button "Try now"
    wait_for("the roll") { finding(job, "roll") }

    refute_css "#offline", visible: true
    assert_equal({ turns: "drags" }, finding(job, "roll").seen)
  end
end
