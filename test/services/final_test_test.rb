# frozen_string_literal: true

require "open3"
require_relative "../test_helper"

# Nothing goes home unproven: what is tried at the end, what a failure does, and what the papers say of it.
class FinalTestServicesTest < DatabaseTest
  def setup
    super
    @job = settled({ "roll" => { turns: "drags" } })
    do_all(@job)
    @job.refresh
  end

  def try(key, result, at: NOW + 60, **more)
    Services::AnswerTrial.call(@job.number, key, result, by: technician, at: at, **more)
  end

  def close_up(**more)
    Services::CloseUp.call(@job.number, by: technician, at: NOW + 120, **more)
  end

  def refused(words, &)
    assert_match words, assert_raises(Services::Refused, &).message
  end

  def results
    Models::FinalTest.where(job_id: @job.id).order(:id).select_map(%i[trial result])
  end

  def test_the_complaint_is_tried_again_and_the_rest_passes_with_it
    refused(/Still to be tried: the complaint “weak”/) { close_up }

    assert_empty results, "what was refused left nothing"
    try("complaint", "pass")
    close_up
    trials = Services::TrialsOfJob.trials(@job).map(&:key)

    assert_equal ["complaint", *(trials - ["complaint"])], results.map(&:first)
    assert_equal ["pass"], results.map(&:last).uniq
  end

  def test_a_failure_stops_it_until_it_is_mended_and_tried_again
    try("complaint", "pass")
    try("whistle", "fail", note: "whistles at the bin")
    refused(/It did not pass: No whistle and no new noise/) { close_up }
    record(@job, "bin-seal", { state: "dirty" }, at: NOW + 70)
    refused(/Still to do: bin rim seal/) { close_up }
    Services::Agree.call(@job.number, agreed_name: "Wendel", agreed_how: "phone", by: technician, at: NOW + 75)
    Services::DoWorkItem.call(@job.number, item(@job, "bin-seal").id, by: technician, at: NOW + 80)
    refused(/Still to be tried/) { close_up }
    try("complaint", "pass", at: NOW + 90)
    close_up

    assert_equal "closed_up", @job.refresh.state
    assert_includes results, %w[whistle fail]
  end

  def test_not_mended_because_stands_on_slip_and_bill
    try("complaint", "fail")
    refused(/did not pass: the complaint “weak”.*not mended/) { close_up }
    close_up(not_mended_reason: "The motor is worn out; a new one costs more than the machine.")
    Services::HandOver.call(@job.number, by: technician, at: NOW + 200)
    bill = Models::Bill.first(job_id: @job.id)

    assert_includes bill.about.to_a.join("\n"), "Not mended: The motor is worn out"
    page = Queries::JobPage.new(@job.refresh, now: NOW + 300, policies: Services::Policies.now)
    slip = Screens::Job::SlipPaper.new(page, today: today, policies: Services::Policies.now).parts

    assert_equal [["“weak”", nil, "still there"], [@job.not_mended_reason, nil, nil]], slip[:unmended]
  end

  # A machine that is not safe goes home with a word that cannot be overlooked.
  def test_failed_safety_stands_on_the_slip
    job = live_job
    { "complaint" => "pass", "safety" => "fail" }.each do |key, result|
      Services::AnswerTrial.call(job.number, key, result, note: "the cover is cracked", by: technician, at: NOW + 60)
    end
    Services::CloseUp.call(job.number, by: technician, at: NOW + 120, not_mended_reason: "Needs a new cover.")
    page = Queries::JobPage.new(job.refresh, now: NOW + 300, policies: Services::Policies.now)
    slip = Screens::Job::SlipPaper.new(page, today: today, policies: Services::Policies.now).parts

    assert_match(/Do not use this machine/, slip[:unmended].first.last)
  end

  def test_a_reason_without_a_failure_says_nothing
    try("complaint", "pass")
    close_up(not_mended_reason: "just in case")

    assert_nil @job.refresh.not_mended_reason
  end

  def test_taken_back_it_is_tried_anew
    try("complaint", "fail")
    close_up(not_mended_reason: "Needs its maker.")
    Services::TakeBack.call(@job.number, reason: "found it after all", by: owner, at: NOW + 300)

    assert_nil @job.refresh.not_mended_reason
  end

  def test_what_a_failure_and_not_here_must_say
    assert_raises(Services::Invalid) { try("whistle", "fail") }
    assert_raises(Services::Invalid) { try("complaint", "not_possible", note: " ") }
    assert_raises(Services::NotFound) { try("dock-dust", "pass") }
    assert_raises(Services::NotFound) { try("whistle", "maybe") }
    try("complaint", "not_possible", note: "only on their carpet at home")
    close_up

    assert_equal "closed_up", @job.refresh.state
  end

  def test_nothing_is_tried_before_it_is_agreed_or_when_it_is_over
    early = take_in(new_machine)
    refused(/nothing is tried now/) do
      Services::AnswerTrial.call(early.number, "complaint", "pass", by: technician, at: NOW)
    end
    try("complaint", "pass")
    close_up
    refused(/nothing is tried now/) { try("complaint", "fail") }
  end

  # Of a machine for the mains whose lead was worked at.
  def live_job
    job = settled({ "hose" => { state: "partly" } }, machine: new_machine("Brackwater Loft K"))
    Models::WorkItem.first(job_id: job.id).update(position: "lead")
    do_all(job)
    job.refresh
  end

  def record_safety(job, **more)
    usual = { tester: "Osk Ferrant", instrument: "no. 2", tested_on: today, by: technician, at: NOW + 60 }
    Services::RecordSafetyTest.call(job.number, **usual, **more)
  end

  def test_electrical_safety_is_recorded_never_passed_with_the_rest
    job = live_job
    Services::AnswerTrial.call(job.number, "complaint", "pass", by: technician, at: NOW + 60)
    close = -> { Services::CloseUp.call(job.number, by: technician, at: NOW + 120) }
    refused(/Still to be tried: Its electrical safety/) { close.call }
    record_safety(job, valid_until: today.next_year)
    close.call
    made = Models::SafetyTest.first(machine_id: job.machine_id)

    assert_equal ["Osk Ferrant", "no. 2", today, today.next_year],
      [made.tester, made.instrument, made.tested_on, made.valid_until]
    assert_equal made, Queries::MachineOverview.new(job.machine).safety_test
  end

  def test_a_safety_test_says_who_with_what_and_when
    { tester: " ", instrument: "", tested_on: nil, valid_until: today }.each do |field, wrong|
      error = assert_raises(Services::Invalid, field.to_s) { record_safety(@job, field => wrong) }

      assert_equal [field], error.errors.keys
    end
    assert_raises(Services::Invalid) { record_safety(@job, tested_on: today + 1) }
    assert_empty Models::SafetyTest.where(job_id: @job.id).all
  end

  def test_a_safety_test_is_never_rewritten
    record_safety(@job)

    assert_raises(Sequel::DatabaseError) do
      DB.transaction(savepoint: true) { DB[:safety_tests].update(tester: "nobody") }
    end
  end

  # A search that found the roll: mended and still there, it goes on; gone, that was it.
  def searched
    job = take_in
    Services::SearchFault.begin(job.number, "brush_does_not_turn", by: technician, at: NOW)
    Services::SearchFault.answer(job.number, "roll", "found", by: technician, at: NOW)
    Services::FinishLookOver.call(job.number, by: technician, at: NOW)
    Services::Settle.call(job.number, agreed_name: "Wendel", agreed_how: "phone", by: technician, at: NOW)
    do_all(job.refresh)
    @job = job.refresh
    Models::FaultSearch.first(job_id: job.id)
  end

  def test_the_complaint_that_is_gone_closes_its_search
    search = searched
    try("complaint", "pass")

    assert_equal ["found", true], [search.refresh.outcome, search.cause.start_with?("roll:")]
  end

  def test_the_complaint_that_is_still_there_goes_back_into_the_ladder
    search = searched
    found = Services::LadderOfJob.of(search, @job).found.first.key
    try("complaint", "fail")

    assert_equal [nil, [found]], [search.refresh.outcome, search.mended.to_a]
    assert_nil Services::LadderOfJob.of(search, @job).found, "there is a next check"
    assert_equal 1, search.results.size, "nothing that was answered is lost"
    try("complaint", "pass", at: NOW + 70)

    assert_nil search.refresh.outcome, "nothing found stands any more"
  end

  # On the slip, and on the page behind its code.
  def test_before_and_after_and_why_on_the_slip
    job = settled({ "roll" => { turns: "drags" } })
    { NOW - 60 => "6 L/s", NOW + 60 => "12 L/s" }.each do |at, text|
      Services::TakeReading.call(job.number, point: "wand", kind: "flow", text: text, by: technician, at: at)
    end
    do_all(job)
    close_job(job, at: NOW + 120, weak_reason: "as good as it gets")
    page = Queries::JobPage.new(job.refresh, now: NOW + 300, policies: Services::Policies.now)
    parts = Screens::Job::SlipPaper.new(page, today: today, policies: Services::Policies.now).parts

    assert_equal ["Air at the wand, of a machine in order"], parts[:air].map(&:first)
    before, after = parts[:air].first.last.scan(/\d+/).map(&:to_i)

    assert_in_delta before * 2, after, 1
    assert_equal "The roll drags", parts[:done].find { |what, *| what.start_with?("Brush roll") }.last
    refute_empty parts[:next].filter_map(&:last)
  end

  # What was read before is asked for again.
  def test_the_point_that_was_read_before
    job = settled({ "roll" => { turns: "drags" } })
    Services::TakeReading.call(job.number, point: "wand", kind: "flow", text: "12 L/s", by: technician, at: NOW - 60)
    do_all(job)

    assert_includes Services::TrialsOfJob.trials(job.refresh).map(&:key), "reading"
  end
end
