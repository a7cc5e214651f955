# frozen_string_literal: true

require_relative "../test_helper"

# Whatever was answered and taken back, a search stands as if only the answers that stand had been given.
class TakeBackAnswersTest < DatabaseTest
  RESULTS = %w[found clear cannot_tell].freeze
  ROUNDS = 24
  STEPS = 9

  def jobs
    @jobs ||= Models::Job.where(state: "taken_in").exclude(made_safe_at: nil).order(:id).all
      .select { |job| job.standing_stops.empty? }
  end

  def search_of(job)
    Models::FaultSearch.under_way.first(job_id: job.id)
  end

  def ladder(job)
    Services::LadderOfJob.of(search_of(job), job.refresh)
  end

  def answer(job, check, result, cause)
    Services::SearchFault.answer(job.number, check, result, cause: cause, by: technician, at: NOW)
  end

  def take_back(job)
    Services::SearchFault.take_back(job.number, by: technician, at: NOW)
  end

  # What the search believes and asks next, and what is on file of the machine.
  def stands(job)
    ladder = ladder(job)
    { belief: ladder.belief.to_h.transform_values { |share| share.round(9) }, next: ladder.next_step&.check&.key,
      found: ladder.found&.map(&:key), open: ladder.openings, left: ladder.left.map(&:key),
      findings: Models::Finding.where(job_id: job.id).order(:position).map do |one|
        [one.position, one.seen, one.verdict, one.own_verdict, one.reason]
      end,
      skips: Models::Skip.where(job_id: job.id).order(:position).select_map(%i[position reason]),
      stops: job.standing_stops.map(&:position).sort }
  end

  # A check that is left, at random, with a result that it can have.
  def any_answer(job, random)
    ladder = ladder(job)
    check = ladder.left.sample(random: random) or return
    result = RESULTS.sample(random: random)
    cause = check.shows.keys.sample(random: random) if result == "found" && !check.splits
    [check.key, result, cause]
  end

  # Answers and takings back in any order; a stop or something found keeps out what may follow it.
  # @return [Array] the answers that stand
  def play(job, random)
    Array.new(STEPS).each_with_object([]) do |_, standing|
      next take_back_last(job, standing) if standing.any? && random.rand < 0.4

      given = any_answer(job, random) or next
      begin
        answer(job, *given)
        standing << given
      rescue Services::Refused
        next
      end
    end
  end

  def take_back_last(job, standing)
    assert_nil take_back(job)
    standing.pop
  end

  def undone(&)
    DB.transaction(savepoint: true, rollback: :always, &)
  end

  def prepare(job, complaint, random)
    job.sheet.walk.sample(3, random: random).each do |place|
      next if Models::Finding.first(job_id: job.id, position: place.key)

      note = { observed: { note: "seen before" }, version: 0, by: technician, at: NOW }
      Services::RecordFinding.call(job.number, place.key, **note, verdict: %i[leave clean].sample(random: random))
    end
    Services::SearchFault.begin(job.number, complaint, by: technician, at: NOW)
  end

  def test_it_stands_as_if_only_the_standing_answers_had_been_given
    ROUNDS.times do |round|
      random = Random.new(round)
      job = jobs[round % jobs.size]
      complaint = Core::Faults::Complaints.of(job.sheet).sample(random: random).key.to_s
      undone do
        prepare(job, complaint, random)
        played = nil
        standing = nil
        undone do
          standing = play(job, random)
          played = stands(job.refresh)
        end
        standing.each { |given| answer(job.refresh, *given) }

        assert_equal stands(job.refresh), played, "round #{round}, #{complaint}: #{standing.inspect}"
      end
    end
  end

  def test_every_answer_taken_back_is_the_beginning
    job = jobs.first
    Services::SearchFault.begin(job.number, "weak_everywhere", by: technician, at: NOW)
    before = stands(job)
    12.times do
      step = ladder(job).next_step or break
      answer(job, step.check.key, "clear", nil)
    end
    count = search_of(job).results.size

    count.times { assert_nil take_back(job) }

    assert_equal before, stands(job.refresh)
    assert_raises(Services::Refused) { take_back(job) }
  end

  def first_look(job)
    seen = Models::Finding.where(job_id: job.id).select_map(:position)
    ladder(job).search.checks.find { |check| check.place && check.key == check.place && !seen.include?(check.place) }
  end

  # What was spent on it stays spent, the history keeps both, and it may be answered again.
  def test_minutes_stay_spent
    job = jobs.first
    Services::SearchFault.begin(job.number, "weak_everywhere", by: technician, at: NOW)
    check = first_look(job)
    answer(job, check.key, "clear", nil)
    spent = ladder(job).spent
    take_back(job)

    assert_in_delta spent, ladder(job).spent
    assert_in_delta spent, ladder(job).spent_in_vain
    answer(job, check.key, "cannot_tell", nil)

    assert_in_delta spent + check.minutes, ladder(job).spent
    assert_equal [true, false], Models::FaultResult.order(:id).map { |row| !row.taken_back_at.nil? }
    assert_includes Models::Event.where(job_id: job.id).select_map(:verb), "took back a check"
  end

  # Two looks at one place, one after the other: each takes only its own with it.
  def test_two_answers_at_one_place
    job, look, try = twice_at_one_place
    before = stands(job)
    answer(job, look.key, "clear", nil)
    once = stands(job.refresh)
    answer(job, try.key, "found", nil)
    take_back(job)

    assert_equal once, stands(job.refresh)
    take_back(job)

    assert_equal before, stands(job.refresh)
  end

  def test_a_skip_comes_back
    job = jobs.first
    Services::SearchFault.begin(job.number, "weak_everywhere", by: technician, at: NOW)
    check = first_look(job)
    Services::SkipPlace.call(job.number, check.place, reason: "later", by: technician, at: NOW)
    answer(job, check.key, "clear", nil)

    assert_empty Models::Skip.where(job_id: job.id, position: check.place)
    take_back(job)

    assert_equal [["later", technician.id]],
      Models::Skip.where(job_id: job.id, position: check.place).select_map(%i[reason skipped_by])
  end

  # A try shows where the fault is not; of the part itself nobody has seen anything.
  def test_a_try_that_comes_out_clear_is_no_finding
    job, look, try = twice_at_one_place
    before = ladder(job).belief["#{try.place}:weak"]
    answer(job, try.key, "clear", nil)

    assert_nil Models::Finding.first(job_id: job.id, position: try.place)
    assert_operator ladder(job).belief["#{try.place}:weak"], :<, before / 5
    assert_includes ladder(job).left.map(&:key), look.key
  end

  # @return [Array] a job in which a fault is sought, a look, and a try at the same place
  def twice_at_one_place
    here = Models::Job.where(state: Core::Jobs::States.names(:in_shop)).select(:machine_id)
    job = take_in(Models::Machine.exclude(id: here).order(:id).all.find { |machine| machine.to_core.power == :battery })
    Services::SearchFault.begin(job.number, "short_run_time", by: technician, at: NOW)
    checks = ladder(job).search.checks
    try = checks.find { |check| check.key.start_with?("swap:") }
    [job, checks.find { |check| check.key == try.place }, try]
  end

  def take_in(machine)
    Services::TakeIn.call({ machine_id: machine.id, customer_id: machine.customer_id, complaint: "short run time",
                            use: { hours_per_week: 2.0, traits: [], allergy: false },
                            request_key: SecureRandom.uuid }, by: technician, at: NOW)
  end

  def test_what_somebody_recorded_since_stays_and_is_said
    job = jobs.first
    Services::SearchFault.begin(job.number, "weak_everywhere", by: technician, at: NOW)
    check = first_look(job)
    answer(job, check.key, "clear", nil)
    finding = Models::Finding.first(job_id: job.id, position: check.place)
    Services::RecordFinding.call(job.number, check.place, observed: { note: "a scratch" }, version: finding.version,
      verdict: :leave, by: technician, at: NOW)

    assert_equal check.place, take_back(job)
    assert_equal "a scratch", Models::Finding.first(job_id: job.id, position: check.place).seen[:note]
  end
end
