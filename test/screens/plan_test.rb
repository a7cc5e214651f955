# frozen_string_literal: true

require_relative "../test_helper"
require_relative "../support/as_staff"

# The plan on screen: whose work it is, what a move would break, who is away, and what may be moved by whom.
class PlanScreenTest < DatabaseTest
  include AsStaff

  def setup
    super
    Services::MakePlan.call(at: Time.now)
    sign_in(technician.email)
  end

  def step
    @step ||= Queries::PlannedJobs.steps.max_by(&:from)
  end

  def path(step = self.step)
    "/plan/#{step.job}/#{step.key}"
  end

  def wish
    Models::StepWish.first(job_id: Models::Job.first(number: step.job).id, key: step.key.to_s)
  end

  # Of the next open day; what comes later may be out of sight.
  def in_sight
    soon = Services::Policies.now.schedule.open_day(today)
    Queries::PlannedJobs.steps.select { |step| Config::Zone.date(step.from) <= soon }
  end

  def test_every_step_stands_in_the_lane_of_whoever_does_it
    get "/plan"

    assert_equal 200, last_response.status
    in_sight.each { |step| assert_includes page, %(href="#{path(step)}") }
    Models::Person.where(at_bench: true).each { |one| assert_includes page, one.name }
  end

  def test_whoever_stays_on_costs_what_the_shop_says
    ways = [{ kind: "stay_on", technician: technician.id, share: 0.95 }]
    danger = { job: step.job, share: 0.3, by: NOW.to_i, ways: ways }
    Models::BenchPlan.dataset.update(dangers: Sequel.pg_jsonb([danger]))
    get "/plan"

    assert_match(/#{technician.name} stays on for up to an hour\. Then/, page)
    Services::SavePolicies.call({ "stay_on_an_hour" => 42 }, by: owner, at: NOW)
    get "/plan"

    assert_match(/#{technician.name} stays on for up to an hour, for up to \$42\.00\. Then/, page)
  end

  def test_of_a_promise_in_danger_it_says_what_the_plan_has_for_its_job
    waiting = Queries::PlanOfBench.new(now: NOW).waits.first
    danger = { job: waiting.job, share: 0.3, by: NOW.to_i, ways: [] }
    steps = Models::BenchPlan.the.steps.map { |step| step.to_hash.merge("dries" => step["job"] == waiting.job) }
    Models::BenchPlan.dataset.update(steps: Sequel.pg_jsonb(steps), dangers: Sequel.pg_jsonb([danger]))
    get "/plan"

    ready = Queries::PlannedJobs.steps.select { |one| one.job == waiting.job }.map(&:till).max
    said = [waiting.till, ready].map { |time| Core::Units::Moment.words(Config::Zone.local(time), today: today) }

    assert_match(/In the plan it (is begun [^.]*, )?dries until #{said.first} and is ready #{said.last}\./, page)
  end

  def test_a_move_says_what_it_breaks_and_writes_nothing
    get "#{path}?person_id=#{step.person}&not_before=#{(step.from + 86_400).strftime('%Y-%m-%dT%H:%M')}"

    assert_match(/Then it is: /, page)
    assert_match(/It breaks (no|\d+) promise/, page)
    assert_nil wish
  end

  def test_it_is_moved_pinned_and_left_to_the_plan_again
    later = Screens::Plan::Moments.write(step.from + 86_400)
    submit path, { "person_id" => step.person.to_s, "not_before" => later, "pinned" => "1" }, from: path

    assert_equal [step.person, true, technician.id], wish.values.values_at(:person_id, :pinned, :wished_by)
    moved = Queries::PlannedJobs.steps.find { |one| [one.job, one.key] == [step.job, step.key] }

    assert_operator moved.from, :>=, step.from + 86_400
    submit "#{path}/let-go", {}, from: path

    assert_nil wish
  end

  def test_what_is_pinned_needs_a_time
    submit path, { "pinned" => "1" }, from: path

    assert_equal 422, last_response.status
    assert_includes page, "is needed for what is to stay there"
    assert_nil wish
  end

  def test_what_cannot_be_is_said_and_nothing_is_kept
    submit path, { "person_id" => "999999" }, from: path

    assert_equal 409, last_response.status
    assert_match(/not at the bench/, page)
    get "/plan/#{step.job}/dance"

    assert_equal 404, last_response.status
    get "/plan/999999/work?person_id=#{step.person}"

    assert_match(/That step is done/, page)
  end

  def test_somebody_is_ill_and_there_after_all
    one = Models::Person.first(at_bench: true)
    submit "/plan/absences", { "away_id" => one.id.to_s, "from" => "2020-01-01T08:00", "till" => "2020-01-01T07:00" },
      from: "/plan"

    assert_equal 422, last_response.status
    submit "/plan/absences", { "away_id" => one.id.to_s, "from" => "2026-02-31T08:00", "till" => "" }, from: "/plan"

    assert_match(/is no such day/, page)
    till = Screens::Plan::Moments.write(Time.now + 86_400)
    submit "/plan/absences", { "away_id" => one.id.to_s, "from" => Screens::Plan::Moments.write(Time.now),
                               "till" => till, "reason" => "a cold" }, from: "/plan"
    away = Models::Absence.standing.first(person_id: one.id)
    get "/plan"

    assert_match(/#{one.name}: .*a cold/, page)
    2.times { submit "/plan/absences/#{away.id}/call-off", {}, from: "/plan" }

    assert_equal 409, last_response.status, "called off twice"
  end

  def test_the_wall_carries_no_navigation
    get "/plan/wall"

    refute_includes page, 'class="duct"'
    assert_includes page, 'hx-trigger="every 60s"'
  end

  def test_the_owner_puts_somebody_at_the_bench
    clear_cookies
    sign_in
    one = Models::Person.first(role: "counter")
    hours = { "tue" => { "0" => { "from" => "08:00", "to" => "" } } }
    submit "/people/#{one.id}/bench", { "own_hours" => "1", "hours" => hours }, from: "/people/#{one.id}/bench"

    assert_match(/needs both times/, page)
    hours["tue"]["0"]["to"] = "12:00"
    submit "/people/#{one.id}/bench", { "at_bench" => "1", "own_hours" => "1", "hours" => hours,
                                        "skills" => ["final_tests"] }, from: "/people/#{one.id}/bench"
    get "/people"

    assert_match(/own hours, does final tests/, page)
    submit "/people/#{one.id}/bench", { "skills" => ["dance"] }, from: "/people/#{one.id}/bench"

    assert_equal 422, last_response.status
  end
end
