# frozen_string_literal: true

require_relative "../test_helper"

# Who works at the bench, when, and what they may do there: the plan asks it, and so does the final test.
class PeopleAtBenchTest < DatabaseTest
  # Promised as surely as wanted, and no surer.
  def setup
    super
    Services::SavePolicies.call({ "minutes_for_one_more" => 0 }, by: owner, at: NOW)
    Models::Job.in_shop.update(state: "declined")
    Models::WorkItem.dataset.update(took_minutes: nil)
  end

  def monday
    @monday ||= Config::Zone.at(today + ((8 - today.wday) % 7) + 7, 9)
  end

  def put(person, at_bench: true, hours: nil, skills: [])
    Services::Staff.put_at_bench(person, { at_bench: at_bench, bench_hours: hours, skills: skills }, by: owner, at: NOW)
  end

  def alone
    Models::Person.exclude(id: technician.id).update(at_bench: false)
    technician
  end

  def job(findings = { "roll" => { turns: "stuck" } })
    take_in(at: monday).tap do |one|
      findings.each { |position, observed| record(one, position, observed, at: monday) }
      Services::FinishLookOver.call(one.number, by: technician, at: monday)
    end.refresh
  end

  def technicians
    Services::BenchAt.new(at: monday).shop.technicians
  end

  def test_own_hours_put_a_promise_off
    put(alone, hours: { "tue" => { "13:00" => "17:00" } })

    assert_equal monday + 86_400 + (5 * 3600), job.promise_at, "as from nine to ten, on Tuesday"
  end

  def test_an_absence_puts_it_off_and_called_off_brings_it_back
    away = Services::TellAbsence.call(alone, from: monday - 3600, till: monday + 86_400, by: technician, at: NOW)

    assert_equal monday + 86_400 + 3600, job.promise_at
    Services::TellAbsence.call_off(away.id, by: technician, at: NOW)

    assert_equal monday + 3600, job.promise_at
  end

  def test_who_is_away_for_good_leaves_the_work_to_the_owner
    Services::TellAbsence.call(alone, from: monday - 3600, till: monday + (500 * 86_400), by: technician, at: NOW)

    assert_equal [Models::Person.first(role: "owner").id], technicians.map(&:id)
  end

  def test_absences_run_forwards_and_are_of_somebody_at_the_bench
    assert_raises(Services::Invalid) do
      Services::TellAbsence.call(technician, from: monday, till: monday, by: technician, at: NOW)
    end
    assert_raises(Services::Forbidden) do
      Services::TellAbsence.call(technician, from: monday, till: monday + 60, by: looker, at: NOW)
    end
  end

  def test_what_nobody_is_named_for_everybody_may
    sheet = job.sheet
    chain = -> { Services::BenchAt.new(at: monday).chain(1, [ask(sheet)]) }

    assert_nil chain.call.operations.first.skill
    put(technician, skills: ["motor_heads"])

    assert_equal :motor_heads, chain.call.operations.first.skill
  end

  def ask(_sheet)
    Services::Promises::Ask.new(10, 0, 0, "replace", :motor_heads)
  end

  def test_the_test_is_a_step_of_its_own_where_somebody_else_does_it
    put(counter_person)
    keys = -> { Services::BenchAt.new(at: monday).chain(1, [ask(nil)]).operations.map(&:key) }

    assert_equal %i[work refit], keys.call
    Services::SavePolicies.call({ "final_test_by" => "another" }, by: owner, at: NOW)

    assert_equal %i[work refit test], keys.call
  end

  def counter_person
    Models::Person.first(role: "counter")
  end

  def looker
    Models::Person.first(role: "look_only") ||
      Services::AddPerson.call(name: "Only Looks", email: "looks@example.org", role: "look_only", password: "x" * 20,
        at: NOW)
  end

  def tested_by(person)
    one = settled({ "roll" => { turns: "drags" } })
    do_all(one)
    Services::AnswerTrial.call(one.number, "complaint", "pass", by: person, at: NOW + 60)
  end

  def test_whoever_did_the_work_does_not_test_it
    Services::SavePolicies.call({ "final_test_by" => "another" }, by: owner, at: NOW)

    assert_match(/somebody else tests it/, assert_raises(Services::Refused) { tested_by(technician) }.message)
    assert tested_by(counter_person)
  end

  def test_who_is_named_for_tests_does_them
    put(technician, skills: ["final_tests"])

    assert_match(/is tested by #{technician.name}/, assert_raises(Services::Refused) { tested_by(counter_person) }
      .message)
    assert tested_by(technician)
  end

  # Two people and one seat: what one could do beside the other waits.
  def test_seats_are_fewer_than_people
    Models::Person.exclude(id: [technician.id, counter_person.id]).update(at_bench: false)
    put(counter_person)
    ends = lambda do
      Services::MakePlan.call(at: monday)
      Queries::PlannedJobs.steps.map(&:till).max
    end
    2.times { settled({ "roll" => { turns: "stuck" } }, at: monday) }
    both = ends.call
    Services::SavePolicies.call({ "bench_seats" => 1 }, by: owner, at: NOW)

    assert_operator ends.call, :>, both
    Services::SavePolicies.call({ "bench_seats" => 2 }, by: owner, at: NOW)

    assert_equal both, ends.call
  end

  # Two people and one wet bench: the second one washes when the first is done.
  def test_a_wash_waits_for_the_wet_bench
    Models::Person.exclude(id: [technician.id, counter_person.id]).update(at_bench: false)
    put(counter_person)
    2.times { settled({ "pre-filter" => { grey: 5 } }, at: monday) }
    in_turn = lambda do |benches|
      Services::SavePolicies.call({ "wet_benches" => benches }, by: owner, at: NOW)
      Services::MakePlan.call(at: monday)
      washes = Queries::PlannedJobs.steps.select { |step| step.key == :work }.sort_by(&:from)
      washes.first.till <= washes.last.from
    end

    assert_equal [true, false], [1, 2].map(&in_turn)
  end

  # In Berlin on the last Sunday of March the clock goes from two to three: a night shift from half past midnight to six
  # has four hours and a half of work in it. On the last Sunday of October it has six and a half.
  def test_on_the_day_when_the_clocks_change_a_minute_of_work_is_a_minute
    Config::Zone.held.during("Europe/Berlin") do
      minutes = [[2027, 3, 28], [2027, 10, 31]].map do |day|
        begins = Config::Zone.at(Date.new(*day), 0, 30)
        bench = Services::BenchAt.new(at: begins, policies: Services::Policies.new("open_hours" => NIGHTS))
        bench.shop.open.worked(bench.minutes(Config::Zone.at(Date.new(*day), 12)))
      end

      assert_equal [270, 390], minutes
    end
  end

  # Two hours and a half of work from half past midnight, and a quarter to refit: a quarter past four, not three.
  def test_a_promise_on_that_sunday_stands_on_the_clock
    alone
    Config::Zone.held.during("Europe/Berlin") do
      at = Config::Zone.at(Date.new(2027, 3, 28), 0, 30)
      asked = Services::AskPromise.new(1, at: at, policies: Services::Policies.new("open_hours" => NIGHTS,
        "promises_kept_percent" => 50, "minutes_for_one_more" => 0))
      answer = asked.call([Services::Promises::Ask.new(150, 0, 0, "clean")])

      assert_includes %w[04:15 04:30], Config::Zone.local(answer.at).strftime("%H:%M")
    end
  end

  NIGHTS = { "sun" => { "00:30" => "06:00" }, "mon" => { "08:00" => "12:00" } }.freeze
end
