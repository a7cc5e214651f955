# frozen_string_literal: true

require_relative "../browser_helper"

# The end of a job at the bench: a test that fails finds a second fault; a complaint that stays goes home as not mended.
class FinalTestBrowserTest < BrowserTest
  def setup
    super
    @job = settled({ "roll" => { turns: "drags" } })
    do_all(@job)
    sign_in
    visit "/jobs/#{@job.number}"
  end

  def test_a_test_that_fails_finds_a_second_fault
    click_button "It is gone"
    within("#trial-whistle") do
      find("summary").click
      fill_in "What, or why", with: "whistles at the bin"
      click_button "It fails"
    end

    assert_css "#trial-whistle.trial-fail", text: "failed: whistles at the bin (Ines Varga"
    assert_button "Close up, not mended"
    the_second_fault
    close_it_up

    assert_css "h2", text: "Hand over"
    assert_equal %w[fail pass],
      Models::FinalTest.where(job_id: @job.id, trial: "whistle").order(:id).select_map(:result)
  end

  def test_not_mended_because
    click_button "It is still there"

    assert_css "#trial-complaint", text: "still there"
    assert_link "Find the fault"
    click_button "Close up, not mended"

    assert_text "It did not pass: the complaint “weak”"
    fill_in "It goes home not mended, because", with: "Its motor is worn out."
    click_button "Close up, not mended"

    assert_text "Not mended: Its motor is worn out."
    assert_css ".goes-home", text: "It came with “weak”: still there."
    click_button "Hand over"

    assert_text "Handed over"
    assert_includes Models::Bill.first(job_id: @job.id).about.to_a.join, "Not mended: Its motor is worn out."
  end

  # Of a machine whose lead was worked at: who tested it, with what.
  def test_a_safety_test_is_written_down
    job = settled({ "hose" => { state: "partly" } }, machine: new_machine("Brackwater Loft K"))
    Models::WorkItem.first(job_id: job.id).update(position: "lead")
    do_all(job)
    visit "/jobs/#{job.number}"
    within("#trial-safety") { click_button "Write it down" }

    assert_css "#trial-safety .field-error", text: "Write who tested it."
    fill_in "Tested by", with: "Osk Ferrant"
    fill_in "With which instrument", with: "tester no. 2"
    click_button "Write it down"

    assert_css "#trial-safety", text: "passed: Osk Ferrant, tester no. 2"
    close_it_up

    assert_css "h2", text: "Hand over"
  end

  private

  # Nothing that was answered or done is lost: the seal is one more line of work, agreed to, and all is tried again.
  def the_second_fault
    record(@job, "bin-seal", { state: "dirty" }, at: Time.now)
    visit "/jobs/#{@job.number}"
    fill_in "agreed_name", with: "Wendel"
    click_button "Agreed again"
    within(".work", text: "bin rim seal") { click_button "Cleaned" }

    assert_css "#trial-complaint.trial-open"
  end
end
