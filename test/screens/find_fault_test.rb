# frozen_string_literal: true

require_relative "../test_helper"
require_relative "../support/as_staff"

# The page of a search, as forms send to it.
class FindFaultTest < DatabaseTest
  include AsStaff

  def job
    @job ||= Models::Job.where(state: "taken_in").exclude(made_safe_at: nil).order(:id).all
      .find { |one| one.standing_stops.empty? }
  end

  def path(rest = "")
    "/jobs/#{job.number}/fault#{rest}"
  end

  def read(**typed)
    point = Core::Suction::Expected.of(job.sheet).stages.first.key
    submit path("/readings"), { "point" => point, "kind" => "sealed", "value" => "9", **typed.transform_keys(&:to_s) },
      from: path
  end

  def setup
    super
    sign_in(technician.email)
    submit path, { "complaint" => "weak_everywhere" }, from: path
  end

  def test_a_series_of_plates_says_the_air_power
    [[16, "14"], [22, "10"], [32, "5 kPa"]].each do |hole, value|
      read(kind: "plate", value: value, plate_mm: hole.to_s)

      assert_equal 303, status
    end
    get path

    assert_match(/Air power at .*<b>\d+ W/m, page)
  end

  # Through three holes nothing goes: there is no curve, and the page stands.
  def test_plates_without_any_air
    [16, 22, 32].each { |hole| read(kind: "plate", value: "0", plate_mm: hole.to_s) }
    get path

    assert_equal 200, status
    refute_match(/Air power/, page)
  end

  # The page of the job says what was behind the complaint that was searched for, whatever was written at take-in.
  def test_the_job_says_what_it_was
    search = Models::FaultSearch.under_way.first(job_id: job.id)
    cause = Services::LadderOfJob.of(search, job).causes.first
    submit path("/end"), { "cause" => cause.key }, from: path
    get "/jobs/#{job.number}"

    assert_match(/The fault behind “weak everywhere”: <b>#{Regexp.escape(English::Faults.cause(cause))}/,
      page.dup.force_encoding("UTF-8"))
  end

  def test_what_is_wrong_stands_beside_its_field
    read(value: "a lot")

    assert_equal 422, status
    assert_says(/The gauge shows is a number, with a unit/)
    read(kind: "plate")

    assert_says(/The hole is needed/)
    read(point: "moon")

    assert_equal 422, status
    assert_equal 0, Models::SuctionReading.where(job_id: job.id).count
  end

  def test_answers_that_there_are_not
    submit path("/answer"), { "check" => "nothing", "result" => "clear" }, from: path

    assert_equal 404, status
    submit path("/answer"), { "check" => { "a" => "b" }, "result" => ["found"] }, from: path

    assert_includes [404, 422], status
    submit path("/end"), { "cause" => "no:such" }, from: path

    assert_equal 404, status
  end

  # Twice at once, or sent again: once.
  def test_sent_again
    check = Queries::FaultPage.new(Services::Lookup.job_to_show(job.number), policies: Services::Policies.now)
      .next_step.check
    2.times { submit path("/answer"), { "check" => check.key, "result" => "clear" }, from: path }

    assert_equal 303, status
    assert_equal 1, Models::FaultResult.count
  end

  # What went home is looked at, and not searched on.
  def test_a_job_that_went_home
    gone = Models::Job.where(state: "handed_over").first
    get "/jobs/#{gone.number}/fault"

    assert_says(/no fault is looked for any more/)
    submit "/jobs/#{gone.number}/fault", { "complaint" => "smells" }, from: path

    assert_equal 409, status
  end
end
