# frozen_string_literal: true

require_relative "../test_helper"

# What a gauge showed, written down and taken back.
class TakeReadingTest < DatabaseTest
  def job
    @job ||= Models::Job.where(state: "taken_in").order(:id).first
  end

  def point
    Core::Suction::Expected.of(job.sheet).stages.first.key
  end

  def take(**more)
    Services::TakeReading.call(job.number,
      point: point, kind: "sealed", text: "80 inH2O", by: technician, at: NOW, **more)
  end

  def test_kept_in_our_units_with_the_gauges_error
    Services::SavePolicies.call({ "gauge_error_percent" => 5.0 }, by: owner, at: NOW)
    row = take

    assert_in_delta 19.893, row.value, 0.001
    assert_in_delta 5.0, row.error_percent
    plate = take(kind: "plate", text: "9 kPa", plate_mm: 19.0)

    assert_in_delta 19.0, plate.to_core.plate_mm
    assert_nil take(kind: "flow", text: "40 CFM", plate_mm: 19.0).plate_mm
  end

  def test_what_is_wrong_is_said_beside_its_field
    { { text: "12 CFM" } => :value, { text: "" } => :value, { point: "moon" } => :point, { kind: "weight" } => :kind,
      { kind: "plate", text: "9 kPa" } => :plate_mm }.each do |wrong, field|
      error = assert_raises(Services::Invalid) { take(**wrong) }

      assert_equal [field], error.errors.keys
    end
    assert_equal 0, Models::SuctionReading.where(job_id: job.id).count
  end

  def test_taken_back_and_only_of_this_job
    row = take
    other = Models::Job.exclude(id: job.id).where(state: "taken_in").first || Models::Job.exclude(id: job.id)
      .all.find(&:recordable?)
    assert_raises(Services::NotFound) { Services::TakeReading.take_back(other.number, row.id, by: technician, at: NOW) }
    Services::TakeReading.take_back(job.number, row.id, by: technician, at: NOW)

    assert_equal 0, Models::SuctionReading.where(job_id: job.id).count
  end

  # Before the work and after it are two machines.
  def test_what_was_read_before_the_work_is_left_aside
    job = Models::Job.where(id: Models::WorkItem.exclude(done_at: nil).select(:job_id)).all.find(&:recordable?)
    point = Core::Suction::Expected.of(job.sheet).stages.first.key
    read = lambda { |text, at|
      Services::TakeReading.call(job.number, point: point, kind: "flow", text: text, by: technician, at: at)
    }
    worked = Models::WorkItem.where(job_id: job.id).max(:done_at)
    read.call("3", worked - 60)
    first = Services::AirOfJob.new(job).located.call.first.kind
    read.call(Core::Suction::Expected.of(job.sheet).flow(point).round(1).to_s, worked + 60)
    page = Queries::FaultPage.new(Services::Lookup.job_to_show(job.number), policies: Services::Policies.now)

    assert_equal %i[blocked nothing], [first, Services::AirOfJob.new(job).located.call.first.kind]
    assert_in_delta 3.0, page.air.gains.first.before
    assert_in_delta 4.0, page.air.minutes
    assert_in_delta 1.0, page.air.gains.first.restored, 0.01
  end

  def test_nothing_is_read_of_what_went_home
    gone = Models::Job.where(state: "handed_over").first
    assert_raises(Services::Refused) do
      Services::TakeReading.call(gone.number, point: point, kind: "sealed", text: "9", by: technician, at: NOW)
    end
  end
end
