# frozen_string_literal: true

require_relative "../test_helper"

# The queries behind a job's page: they say what else is due, how the customer hears, whether the job is late, and what
# the technician may take back.
class JobQueriesTest < DatabaseTest
  def page(job, now: NOW)
    Queries::JobPage.new(job.refresh, now: now, policies: Services::Policies.now)
  end

  # The page draws each finding by its verdict and shows the reason beside it.
  def test_a_mark_and_a_reason_for_what_was_found
    job = take_in
    record(job, "screen", {}, verdict: :clean)
    record(job, "cones", {}, verdict: :leave)

    assert_equal({ "screen" => :clean, "cones" => :leave }, page(job).marks)
    assert_equal %w[cones screen], page(job).notes.keys.sort
    assert_equal owner.name, page(job).name_of(owner.id)
  end

  def test_who_gets_reminders_hears_by_what_was_agreed_and_who_stopped_by_nothing
    job = take_in(new_machine(text_agreed: true, phone: "555-0190"))

    assert_equal %i[email text], page(job).agreed_ways.map(&:key).sort
    job.customer.update(stopped_on: today)

    assert_empty page(job).agreed_ways
  end

  # The page asks at the hand-over only, a customer who agreed to nothing and refused nothing, and offers only the
  # channels that have an address.
  def test_who_agreed_to_nothing_is_asked_at_the_hand_over
    job = take_in(new_machine(email_agreed: false))

    assert_empty page(job).ways_to_hear, "not while it is worked on"
    job.update(state: "closed_up", closed_up_at: NOW)

    assert_includes page(job).ways_to_hear.map(&:key), :email
    refute_includes page(job).ways_to_hear.map(&:key), :text, "there is no number"
    { email_agreed: true, stopped_on: today, forgotten_on: today }.each do |column, value|
      DB.transaction(savepoint: true, rollback: :always) do
        job.customer.this.update(column => value)

        assert_empty page(job).ways_to_hear, column
      end
      job.customer.refresh
    end
  end

  # A job is late only while somebody works on it, and only when the bench's plan ends after the promise.
  def test_late_is_what_comes_after_the_promise
    job = settled({ "pre-filter" => { torn: true } })
    said = job.promise_at
    at = nil
    the = Models::BenchPlan.the
    Models::BenchPlan.stub(:the, the) do
      the.stub(:later_by, ->(_) { at }) do
        { nil => nil, said => nil, said - 60 => nil, said + 3600 => said + 3600 }.each do |by, later|
          at = by

          assert_equal [later], [page(job).later_by], by.inspect
          assert_equal !later.nil?, page(job).late?
        end
        job.update(state: "closed_up", closed_up_at: NOW)

        refute_predicate page(job), :late?, "it is ready"
      end
    end
  end

  # The page does not ask about a due task again when the customer already left the work that would have done it.
  def test_what_was_left_is_not_asked_again_as_due
    machine = new_machine
    Services::BeginClocks.call([machine], { machine.id => today - 400 }, on: today)
    Models::Due.running.where(machine_id: machine.id, position: "pre-filter").update(due_on: today - 1,
      early_on: today - 9, late_on: today + 9)
    job = take_in(machine)
    record(job, "pre-filter", { torn: true })
    Services::FinishLookOver.call(job.number, by: technician, at: NOW)
    asked = -> { page(job).dues_to_ask.map { |row| row.place.key } }

    Models::WorkItem.where(job_id: job.id, position: "pre-filter").update(state: "left", done_at: NOW,
      done_by: owner.id)

    refute_includes asked.call, "pre-filter"
    row = page(job).dues_to_settle.find { |one| one.place.key == "pre-filter" }
    Models::SettledDue.create(job_id: job.id, position: "pre-filter", task: row.task.key, action: row.task.action,
      due_on: today - 1, choice: "left", chosen_by: owner.id, chosen_at: NOW)

    assert_includes asked.call, "pre-filter", "what was said about it can be said anew"
  end

  def test_what_was_said_last_can_be_taken_back_for_so_long_after_the_hand_over
    job = close_job(settled({ "pre-filter" => { torn: true } }).tap { |one| do_all(one) })
    Services::HandOver.call(job.number, by: technician, at: NOW)
    hours = Services::Policies.now["take_back_hours"]
    handed = job.refresh.handed_over_at

    assert_predicate page(job, now: handed + (hours * 3600)), :may_take_back?
    refute_predicate page(job, now: handed + (hours * 3600) + 1), :may_take_back?
    job.update(came_from: Sequel.pg_array([], :text))

    refute_predicate page(job, now: handed), :may_take_back?
  end
end
