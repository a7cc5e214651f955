# frozen_string_literal: true

# Group: slow (long stories in a browser)

require_relative "../browser_helper"

# What the look-over found and what the clocks say are one book: three machines from their places to the hand-over.
class OneBookBrowserTest < BrowserTest
  def setup
    super
    sign_in
  end

  # A robot of which nobody knows since when it runs: what was judged good is not due on the day it goes home.
  def test_a_robot_of_unknown_age_goes_home_without_being_overdue
    look_over("Tolliver Rove Q", bought_on: nil)
    %w[wheels-state-turn clean-tank-state-clean].each { |id| see(id) }
    finish_the_look_over

    assert_text "Nobody knows how old these are"
    to_the_hand_over

    refute_includes due_row("clean: wheels").text, "today"
    assert_no_css "table.dues .stop-word"
  end

  # Its time is up by the calendar; one thing is done, one is still good, one the customer leaves.
  def test_what_is_due_is_settled_before_a_stick_goes_home
    look_over("Hallmoor Dart M", bought_on: today - 800)
    see("wand-state-clear")

    assert_text "Replace was due"
    finish_the_look_over
    within(".due-row", text: "Brush roll") { click_button "Looked at, still good" }

    assert_css ".due-row", text: "looked at and still good"
    within(".due-row", text: "replace: due since", match: :first) { click_button "Replace it now" }

    assert_text "Its time is up"
    to_the_hand_over

    assert_no_css "table.dues .stop-word"
    assert_text "Print the slip for the customer"
  end

  # Pressed at the bin, then a torn seal was seen after all: it is no longer left. And a filter may be grey and loose.
  def test_what_is_seen_later_wins_over_all_the_rest_is_fine
    look_over("Hallmoor Dart M", bought_on: today - 100)
    visit "/jobs/#{@job.number}/look-over?at=bin"
    click_button "All the rest is fine", match: :first
    wait_for("the seal") { Models::Finding.first(job_id: @job.id, position: "bin-seal")&.verdict == "leave" }
    visit "/jobs/#{@job.number}/look-over?at=bin-seal"
    execute_script("document.getElementById('bin-seal-state-torn').click()")
    wait_for("the torn seal") { Models::Finding.first(job_id: @job.id, position: "bin-seal").verdict == "replace" }
    see("pre-filter-grey-4")
    execute_script("document.getElementById('pre-filter-loose').click()")
    wait_for("both") { Models::Finding.first(job_id: @job.id, position: "pre-filter").also.to_a == ["clean"] }
    finish_the_look_over

    assert_css ".work", text: "Grey 4 of 5: worth a wash. Loose: clean its seat and set it again."
    assert_css ".work", text: "The seal is torn"
  end

  private

  def look_over(title, **bought)
    @machine = new_machine(title, **bought)
    @job = take_in(@machine)
    visit "/jobs/#{@job.number}/look-over"

    assert_css "#walk"
  end

  def see(id)
    position = id[/\A[a-z-]+(?=-(?:state|turns|bristles|torn|loose|grey|dirty|cracked))/]
    execute_script("document.getElementById('#{id}').click()")
    wait_for(id) { Models::Finding.first(job_id: @job.id, position: position) }
    drawn = "document.querySelector('#row-#{position} [name=version]')?.value"
    wait_for("the row of #{id}") do
      evaluate_script(drawn) == Models::Finding.first(job_id: @job.id, position: position).version.to_s
    end
  end

  def finish_the_look_over
    visit "/jobs/#{@job.number}/look-over" # all that was seen is on the page
    click_button "Done: go to estimate"

    assert_css "h2", text: "Estimate"
  end

  # All that is left: agreed, done, closed up.
  def to_the_hand_over
    @job.work_items_dataset.where(action: "replace", part_id: nil, state: "to_do").each do |open|
      Services::ChoosePart.call(@job.number, open.id, choice: "leave", by: technician, at: Time.now)
    end
    visit "/jobs/#{@job.number}"
    fill_in "Who agrees that the maker's warranty may end", with: "Wendel" if page.has_field?("warranty_name", wait: 0)
    click_button "Agreed: start work"

    assert_css "h2", text: "Work"
    do_all(@job, at: Time.now)
    Demo::PutBack.call(@job.refresh, by: technician, at: Time.now)
    visit "/jobs/#{@job.number}"
    if page.has_css?("button", text: /close up/i, wait: 0)
      close_it_up
      close_up_wet if page.has_field?("wet_reason", wait: 2)
    end

    assert_css "h2", text: "Hand over"
    find("summary", text: "Next due").click
  end

  def close_up_wet
    fill_in "wet_reason", with: "dried at home"
    click_button "The rest passes: close up"
  end

  def due_row(task)
    find("table.dues tr", text: task)
  end
end
