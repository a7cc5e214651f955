# frozen_string_literal: true

require_relative "../test_helper"

# A search for a fault, at a real job: results are findings, and what was learned moves the weights.
class SearchFaultTest < DatabaseTest
  Complaints = Core::Faults::Complaints

  def job
    @job ||= Models::Job.where(state: "taken_in").exclude(made_safe_at: nil).order(:id).all
      .find { |one| one.standing_stops.empty? && one.sheet.positions.any? { |place| place.kind == :filter } }
  end

  def ladder
    search = Models::FaultSearch.under_way.first(job_id: job.id)
    Services::LadderOfJob.of(search, job.refresh)
  end

  def begin_search(complaint = "weak_everywhere")
    Services::SearchFault.begin(job.number, complaint, by: technician, at: NOW)
  end

  def answer(check, result, **more)
    Services::SearchFault.answer(job.number, check, result, by: technician, at: NOW, **more)
  end

  def filter_check
    key = job.sheet.walk.find { |place| place.kind == :filter }.key
    ladder.search.check_of(key)
  end

  def test_found_is_a_finding_with_its_work
    begin_search
    check = filter_check
    Models::Finding.where(job_id: job.id, position: check.place).delete
    answer(check.key, "found", cause: "#{check.place}:full")
    finding = Models::Finding.first(job_id: job.id, position: check.place)

    assert_equal 5, finding.seen[:grey]
    assert_includes %w[wash clean replace], finding.verdict
    assert_equal ["#{check.place}:full"], Models::FaultResult.select_map(:cause)
    assert_includes ladder.found.map(&:key), "#{check.place}:full"
    Services::SearchFault.finish(job.number, "#{check.place}:full", by: technician, at: NOW)
    search = Models::FaultSearch.first(job_id: job.id)

    assert_equal ["found", "#{check.place}:full"], [search.outcome, search.cause]
  end

  def test_clear_is_fine_and_takes_nothing_back
    begin_search
    check = filter_check
    Models::Finding.where(job_id: job.id, position: check.place).delete
    answer(check.key, "clear")

    assert_equal "leave", Models::Finding.first(job_id: job.id, position: check.place).verdict
    Services::SearchFault.take_back(job.number, by: technician, at: NOW)
    Services::RecordFinding.call(job.number, check.place, observed: { torn: true }, version: 0, by: technician, at: NOW)
    answer(check.key, "clear")

    assert Models::Finding.first(job_id: job.id, position: check.place).seen[:torn],
      "it says more than that it is clear"
  end

  # What the look-over saw counts, on either side.
  def test_the_look_over_counts
    begin_search
    check = filter_check
    before = ladder.belief["#{check.place}:full"]
    Models::Finding.where(job_id: job.id, position: check.place).delete
    Services::RecordFinding.call(job.number, check.place, observed: { grey: 5 }, version: 0, by: technician, at: NOW)

    assert_operator ladder.belief["#{check.place}:full"], :>, before
    Services::RecordFinding.call(job.number, check.place, observed: { grey: 0 }, version: 1, verdict: :leave,
      by: technician, at: NOW)

    refute_includes ladder.left.map(&:key), check.key
  end

  # Fourteen of forty minutes say that the pack is weak, whatever word was chosen for it.
  def test_a_run_time_that_was_measured_counts
    @job = Models::Job.order(:id).all.find do |one|
      one.recordable? && one.made_safe_at && one.standing_stops.empty? && one.sheet.power == :battery &&
        one.sheet.position?("battery") && one.sheet.position("battery").measures.key?("run_minutes")
    end
    begin_search("short_run_time")
    Models::Finding.where(job_id: job.id, position: "battery").delete
    before = ladder.belief["battery:weak"]
    rated = job.sheet.position("battery").measures["run_minutes"]
    Services::RecordFinding.call(job.number, "battery", observed: { run_minutes: rated * 0.35 }, version: 0,
      by: technician, at: NOW)

    assert_operator ladder.belief["battery:weak"], :>, before * 1.5
  end

  def test_answered_once
    begin_search
    check = filter_check
    answer(check.key, "cannot_tell")
    answer(check.key, "cannot_tell")

    assert_equal 1, Models::FaultResult.count
    assert_raises(Services::Refused) { answer(check.key, "clear") }
    assert_raises(Services::NotFound) { answer("no-such-check", "clear") }
    assert_raises(Services::Invalid) { answer(ladder.left.first.key, "perhaps") }
    assert_raises(Services::NotFound) { answer(ladder.left.last.key, "found", cause: "other:full") } unless
      ladder.left.last.splits
  end

  # Two people find two things at once: the first is answered for, and the page can always be drawn.
  def test_nothing_is_found_beside_what_was_found
    begin_search
    first, second = ladder.search.checks.reject { |check| check.splits || check.place.nil? }.first(2)
    answer(first.key, "found")

    assert_raises(Services::Refused) { answer(second.key, "found") }
    answer(first.key, "found")

    assert_equal 1, Models::FaultResult.count
    assert_equal first.place, ladder.found.first.place
  end

  def test_one_search_at_a_time_and_another_complaint_ends_it
    first = begin_search

    assert_equal first.id, begin_search.id
    second = begin_search("smells")

    assert_equal "dropped", first.refresh.outcome
    assert_equal [second.id], Models::FaultSearch.under_way.where(job_id: job.id).select_map(:id)
    assert_raises(Services::NotFound) { begin_search("no_such") }
    looks = Models::Person.create(name: "L", email: "l@example.org", role: "look_only", password_hash: "x",
      created_at: NOW)
    assert_raises(Services::Forbidden) { Services::SearchFault.begin(job.number, "smells", by: looks, at: NOW) }
  end

  # Twenty jobs of the family in which it was the screen are worth as much as the table.
  def test_it_learns_from_closed_jobs_of_the_family
    begin_search
    cause = ladder.search.causes.last.key
    before = ladder.search.cause_of(cause).weight
    20.times do
      Models::FaultSearch.create(job_id: job.id, complaint: "weak_everywhere", outcome: "found", cause: cause,
        begun_by: technician.id, begun_at: NOW, ended_by: technician.id, ended_at: NOW)
    end

    assert_in_delta 0.5 + (before / 2), ladder.search.cause_of(cause).weight
    assert_equal({ cause => 20 }, Queries::CausesCounted.call(job.sheet, "weak_everywhere"))
    assert_empty Queries::CausesCounted.call(job.sheet, "smells")
  end

  # A burnt motor stops the search as it stops everything.
  def test_a_stop
    begin_search("smells")
    motor = job.sheet.walk.find { |place| place.kind == :motor }.key
    Models::Finding.where(job_id: job.id, position: motor).delete
    answer(motor, "found", cause: "#{motor}:burnt")

    assert_equal [motor], job.refresh.standing_stops.map(&:position)
  end

  def test_mended_and_still_there
    begin_search
    check = filter_check
    cause = "#{check.place}:full"
    answer(check.key, "found", cause: cause)
    Services::SearchFault.still_there(job.number, cause, by: technician, at: NOW)

    assert_nil ladder.found
    assert_in_delta 0, ladder.belief[cause]
    refute_nil ladder.next_step
    assert_raises(Services::NotFound) do
      Services::SearchFault.still_there(job.number, "no:such", by: technician, at: NOW)
    end
    Services::SearchFault.take_back(job.number, by: technician, at: NOW)

    assert_empty Models::FaultSearch.under_way.first(job_id: job.id).mended.to_a, "it goes with its answer"
    answer(check.key, "found", cause: cause)

    assert_equal [cause], ladder.found.map(&:key).first(1)
  end
end
