# frozen_string_literal: true

require_relative "../test_helper"

# What somebody wants of a step of the plan, what that would break, and what would save a promise that is in danger.
class MoveStepTest < DatabaseTest
  def setup
    super
    Models::Job.in_shop.update(state: "declined")
    Models::WorkItem.dataset.update(took_minutes: nil)
    @first, @second = Array.new(2) { settled({ "roll" => { turns: "stuck" } }, at: monday) }
    Services::MakePlan.call(at: monday)
  end

  def monday
    @monday ||= Config::Zone.at(today + ((8 - today.wday) % 7) + 7, 9)
  end

  def people
    Models::Person.may_sign_in.where(at_bench: true).order(:id).all
  end

  def step(job, key = :refit)
    Queries::PlannedJobs.steps.find { |one| one.job == job.number && one.key == key }
  end

  def move(job, wish, key: "refit", at: monday)
    Services::MoveStep.new(job.number, key, wish, at: at)
  end

  def test_given_to_somebody_it_stays_theirs_whenever_the_plan_is_made
    other = people.find { |one| one.id != step(@first, :work).person }
    move(@first, { person_id: other.id }, key: "work").call(by: owner)

    assert_equal other.id, step(@first, :work).person
    Services::MakePlan.call(at: monday + 600)

    assert_equal other.id, step(@first, :work).person
    move(@first, nil, key: "work").call(by: owner)

    assert_empty Models::StepWish.all
  end

  def test_pinned_it_stays_where_it_is
    time = monday + (6 * 3600)
    move(@first, { person_id: people.first.id, not_before: time, pinned: true }).call(by: owner)
    Services::MakePlan.call(at: monday + 600)

    assert_equal [time.to_i, people.first.id], [step(@first).from.to_i, step(@first).person]
    assert_operator step(@second).till, :<, time, "others go on before it"
  end

  def test_what_it_would_break_is_told_and_nothing_is_written
    later = @first.refresh.promise_at + 86_400
    before = Models::BenchPlan.the.values
    answer = move(@first, { not_before: later }).what_if

    assert_equal [@first.number], answer.effects.breaks.map(&:number)
    assert_operator answer.by.fetch(@first.number), :>, later
    assert_operator answer.at[:from], :>=, later
    assert_equal before, Models::BenchPlan.the.values
    assert_empty Models::StepWish.all
  end

  def test_taken_up_now_it_goes_before_what_was_planned_before_it
    late = [step(@first, :work), step(@second, :work)].max_by(&:from)
    one = people.find { |person| person.id == late.person }
    Services::MoveStep.new(late.job, "work", { person_id: one.id, not_before: monday, pinned: true }, at: monday)
      .call(by: owner)
    moved = Queries::PlannedJobs.steps.find { |step| [step.job, step.key] == [late.job, :work] }

    assert_equal monday.to_i, moved.from.to_i
  end

  def test_what_cannot_be_is_refused
    assert_raises(Services::Refused) { move(@first, { person_id: 0 }).what_if }
    assert_raises(Services::Refused) { move(@first, { not_before: monday }, key: "look_over").call(by: owner) }
    looker = Services::AddPerson.call(name: "Only Looks", email: "l@example.org", role: "look_only", at: NOW,
      password: "x" * 20)

    assert_raises(Services::Forbidden) { move(@first, { not_before: monday }).call(by: looker) }
  end

  def test_who_left_the_bench_is_not_asked_any_more
    one = people.last
    move(@first, { person_id: one.id }, key: "work").call(by: owner)
    Services::Staff.put_at_bench(one, { at_bench: false, bench_hours: nil, skills: [] }, by: owner, at: NOW)
    Services::MakePlan.call(at: monday)

    refute_equal one.id, step(@first, :work).person
  end

  def test_a_promise_in_danger_names_what_would_save_it
    @first.update(promise_at: monday + 60)
    Services::MakePlan.call(at: monday)
    danger = Models::BenchPlan.the.dangers.to_a.find { |one| one["job"] == @first.number }

    assert_in_delta 0.0, danger["share"]
    assert_operator Time.at(danger["by"]), :>, monday
    board = Queries::PlanOfBench.new(now: monday)

    assert_equal [@first.number], board.dangers.map(&:job)
  end

  # Washed it is dry tomorrow; promised for this evening, new parts alone would do.
  def test_what_would_save_it_is_looked_for_once_the_plan_stands
    job = settled({ "pre-filter" => { grey: 5 } }, at: monday)
    job.update(promise_at: monday + (8 * 3600))
    Services::MakePlan.with_ways(at: monday)
    danger = Queries::PlanOfBench.new(now: monday).dangers.find { |one| one.job == job.number }

    assert_equal [:new_instead], danger.ways.map(&:kind)
    Services::MakePlan.call(at: monday + 60)
    schedule = Services::MakePlan.standing(Services::BenchAt.new(at: monday)).schedule
    Services::KeepPlan.look_for_ways(schedule, Services::BenchAt.new(at: monday), at: monday)

    assert_empty Queries::PlanOfBench.new(now: monday).dangers.flat_map(&:ways), "of another plan it is of no use"
  end

  def test_of_promises_kept_the_first_one_counts
    Models::Job.exclude(closed_up_at: nil).update(closed_up_at: NOW - (400 * 86_400))
    [@first, @second].each { |job| job.refresh.update(closed_up_at: job.promise_at - 60, state: "closed_up") }

    assert_equal [2, 2], [kept.hits, kept.tries]
    Services::History.note("promised later", @second, by: owner, at: monday, job: @second,
      data: { from: (@second.closed_up_at - 600).iso8601, till: @second.promise_at.iso8601 })

    assert_equal [1, 2], [kept.hits, kept.tries], "told later, and so not kept"
  end

  def kept
    Queries::PromisesKept.call(now: monday)
  end
end
