# frozen_string_literal: true

require_relative "../test_helper"

# What a machine did after its last good service is what is expected of it, and a machine that pulls too little after
# the work is not closed up without a word.
class LastGoodAirTest < DatabaseTest
  # Two jobs of one machine, of which the first went home.
  def jobs
    @jobs ||= begin
      later = Models::Job.where(state: %w[in_work waiting settled]).reverse(:id).all.find { |job| job.sheet.rated.key?("flow_l_s") }
      earlier = Models::Job.where(state: "handed_over").where(Sequel[:id] < later.id).exclude(closed_up_at: nil).first
      Models::SuctionReading.dataset.delete # the demo has some of its own
      earlier.update(machine_id: later.machine_id)
      [earlier, later]
    end
  end

  def machine
    Core::Suction::Expected.of(jobs.last.sheet)
  end

  def read(job, kind, share, at:)
    point = machine.stages.first.key
    value = share * Core::Suction::Reading.expected(machine, point, kind)
    Models::SuctionReading.create(job_id: job.id, point: point, kind: kind.to_s, value: value, error_percent: 2.0,
      taken_by: technician.id, taken_at: at)
  end

  def after_work(job)
    (Models::WorkItem.where(job_id: job.id).max(:done_at) || job.taken_in_at) + 60
  end

  # With all its work done.
  def worked
    jobs.last.tap do |job|
      job.work_items_dataset.where(state: "to_do").update(state: "done", done_at: NOW, done_by: technician.id)
    end
  end

  def expected
    Services::AirOfJob.new(jobs.last).expected
  end

  def test_the_last_good_service_is_what_is_expected
    earlier, = jobs
    read(earlier, :flow, 0.5, at: after_work(earlier) - 120)

    assert_equal :rated, expected.known_by, "before the work it says nothing of what is good"
    read(earlier, :flow, 0.94, at: after_work(earlier))
    read(earlier, :sealed, 0.96, at: after_work(earlier))

    assert_equal :own, expected.known_by
    assert_in_delta 0.94 * machine.flow(machine.stages.first.key), expected.call.flow(machine.stages.first.key), 0.1
    read(earlier, :flow, 0.6, at: after_work(earlier) + 1)

    assert_equal :rated, expected.known_by, "what went home weak is no measure"
  end

  # What each job read of the whole machine, before its work and after it.
  def test_its_air_over_the_years
    earlier, later = jobs
    read(earlier, :flow, 0.5, at: after_work(earlier) - 120)
    read(earlier, :sealed, 0.9, at: after_work(earlier) - 110)
    read(earlier, :flow, 0.94, at: after_work(earlier))
    read(later, :sealed, 0.8, at: NOW)
    found = Queries::MachineAir.call(Models::Machine[later.machine_id])

    assert_equal [earlier.number, later.number], found.map(&:number)
    assert_in_delta 0.5, found.first.before, 0.01
    assert_in_delta 0.94, found.first.after, 0.01
    assert_in_delta 0.8, found.last.before || found.last.after, 0.01
    drawn = Drawings::AirLine.new(found).render

    assert_match(/50 % before, 94 % after/, drawn)
    assert_equal 3, drawn.scan("<circle").size
  end

  # Nothing is left to do, and it pulls three fifths of what it should.
  def test_weak_after_the_work
    job = worked
    close = lambda { |reason = nil|
      close_job(job, wet_reason: "trial", weak_reason: reason, at: NOW + 60)
    }
    read(job, :flow, 0.6, at: after_work(job))
    error = assert_raises(Services::Refused) { close.call }

    assert_match(/reaches 60 % of what it should/, error.message)
    close.call("motor is worn, customer knows")

    assert_equal ["motor is worn, customer knows", technician.id], job.refresh.values.values_at(:weak_air_reason,
      :weak_air_by)
    Services::TakeBack.call(job.number, reason: "trial", by: technician, at: NOW + 120)

    assert_nil job.refresh.weak_air_reason
  end

  def test_what_is_enough_is_closed_up_as_ever
    job = worked
    read(job, :flow, 0.6, at: after_work(job))
    read(job, :flow, 0.95, at: after_work(job) + 1)

    assert_empty Services::PullsEnough.too_little(job), "the last one counts"
    Services::SavePolicies.call({ "least_restored_percent" => 99 }, by: owner, at: NOW)

    refute_empty Services::PullsEnough.too_little(job)
  end
end
