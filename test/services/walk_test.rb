# frozen_string_literal: true

require_relative "../test_helper"

class WalkServicesTest < DatabaseTest
  def setup
    @job = take_in
  end

  def found(position)
    Models::Finding.first(job_id: @job.id, position: position)
  end

  def test_all_the_rest_is_fine_leaves_alone_what_is_known_and_what_can_hurt
    record(@job, "roll", { turns: "drags" })
    Services::SkipPlace.call(@job.number, "neck", reason: "cannot be reached", by: technician, at: NOW)

    left = %w[head bin motor].map do |station|
      Services::FineRest.call(@job.number, station, by: technician, at: NOW).map(&:key)
    end

    assert_equal [[], [], %w[motor battery]], left, "motor and pack are looked at one by one, and named"
    assert_equal [nil, nil], %w[motor battery].map { |place| found(place) }
    assert_equal [%w[leave looked_fine], %w[leave seal_clean]],
      [found("bin"), found("bin-seal")].map { |one| [one.verdict, one.clause] }
    assert_nil found("neck")
  end

  # Pressed at the bin, then the bin was found full and its seal torn: what is recorded later wins.
  def test_what_is_recorded_later_wins_over_all_the_rest_is_fine
    Services::FineRest.call(@job.number, "bin", by: technician, at: NOW)
    record(@job, "bin", { fill_percent: 95 }, version: 1)
    record(@job, "bin-seal", { state: "torn" }, version: 1)

    assert_equal [["clean", false], ["replace", false]],
      %w[bin bin-seal].map { |place| found(place).values.values_at(:verdict, :own_verdict) }
  end

  def test_a_skip_is_kept_and_taken_back_by_looking
    Services::SkipPlace.call(@job.number, "screen", reason: "later", by: technician, at: NOW)

    assert_equal "later", Models::Skip.first(job_id: @job.id).reason
    record(@job, "screen", { state: "clear" })

    assert_empty Models::Skip.where(job_id: @job.id)
    assert_raises(Services::Refused) do
      Services::SkipPlace.call(@job.number, "screen", reason: "later", by: technician, at: NOW)
    end
    assert_raises(Services::NotFound) do
      Services::SkipPlace.call(@job.number, "attic", reason: "later", by: technician, at: NOW)
    end
  end

  def test_a_save_sent_twice_is_saved_once
    key = SecureRandom.uuid
    first = record(@job, "screen", { state: "clear" }, request_key: key)
    again = record(@job, "screen", { state: "clear" }, request_key: key)

    assert_equal [first.id, 1], [again.id, again.version]
    assert_raises(Services::Stale) { record(@job, "screen", { state: "clogged" }, request_key: SecureRandom.uuid) }
  end

  # The raw material of a household's own factor.
  def test_the_load_found_and_expected_are_kept
    Services::SetClocks.call(@job.machine, on: today - 365, done: { "pre-filter" => %i[replace wash] })
    record(@job, "pre-filter", { grey: 5 })

    assert_in_delta 1.0, found("pre-filter").wear_found
    assert_operator found("pre-filter").wear_expected, :>, 1
  end

  def test_what_was_found_last_time_is_the_newest_of_each_place
    record(@job, "screen", { state: "clogged" })
    record(@job, "neck", { state: "partly" })
    second = later_visit
    record(second, "screen", { state: "clear" })
    third = later_visit
    last = Models::Finding.of_earlier_jobs(third).to_h { |finding| [finding.position, finding.seen[:state]] }

    assert_equal({ "screen" => "clear", "neck" => "partly" }, last)
    assert_empty Models::Finding.of_earlier_jobs(@job)
  end

  def later_visit
    Models::Job.where(machine_id: @job.machine_id).update(state: "handed_over")
    take_in(@job.machine)
  end
end
