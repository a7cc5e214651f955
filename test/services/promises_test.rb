# frozen_string_literal: true

require_relative "../test_helper"

class PromisesTest < DatabaseTest
  # One technician, nothing else to do, and nothing learned; promised as surely as wanted, and no surer.
  def setup
    super
    keep(0, "minutes_for_one_more")
    Models::Job.in_shop.update(state: "declined")
    Models::WorkItem.dataset.update(took_minutes: nil)
    Models::Person.where(role: "technician").exclude(id: technician.id).update(status_id: Models::Person::CLOSED)
  end

  # A Monday at nine, well inside the open hours.
  def monday
    @monday ||= Config::Zone.at(today + ((8 - today.wday) % 7) + 7, 9)
  end

  def job(findings)
    take_in(at: monday).tap do |one|
      findings.each { |position, observed| record(one, position, observed, at: monday) }
      Services::FinishLookOver.call(one.number, by: technician, at: monday)
    end.refresh
  end

  # 9:00 + 4 + 5 min for the roll, 15 to refit: 9:24 as planned, with a standard deviation of 6 min, so that it takes
  # till 9:32 nine times in ten; and a quarter of an hour to spare.
  def test_without_a_wash_it_is_ready_the_same_day
    one = job({ "roll" => { turns: "stuck" } })

    assert_equal monday + 3600, one.promise_at
    assert_match(/9 min of work, 15 min to refit and test, 36 min in case .* \(holds 9\d times in 100\)/,
      one.promise_reason)
  end

  # 24 h for the pre-motor filter: dry on Tuesday at about 9:10, then 15 min.
  def test_a_wash_makes_it_the_day_after
    assert_equal monday + (25 * 3600), job({ "pre-filter" => { grey: 5 } }).promise_at
  end

  def test_the_longest_drying_counts
    one = job({ "pre-filter" => { grey: 5 }, "post-filter" => { grey: 5 } })

    assert_match(/36 h of drying/, one.promise_reason)
  end

  def test_the_spare_brings_it_forward_and_washing_after_all_puts_it_back
    one = job({ "pre-filter" => { grey: 5 } })
    later = one.promise_at
    Services::ChoosePart.call(one.number, item(one, "pre-filter").id, choice: part("HD-2010").id.to_s, by: technician,
      at: monday)

    assert_operator one.refresh.promise_at, :<, later
    Services::ChoosePart.call(one.number, item(one, "pre-filter").id, choice: "wash", by: technician, at: monday)

    assert_equal later, one.refresh.promise_at
  end

  def test_how_many_are_to_be_kept_is_the_shops_to_choose
    promised = [50, 99].map do |percent|
      keep(percent, "promises_kept_percent")
      job({ "roll" => { turns: "stuck" } }).promise_at
    end

    assert_operator promised.first, :<, promised.last
  end

  def test_where_a_part_is_to_come_as_many_as_the_shop_says_for_those
    promised = [50, 99].map do |percent|
      keep(percent, "part_promises_kept_percent")
      [waiting_for_a_part, job({ "roll" => { turns: "stuck" } })]
    end
    promises = promised.map { |jobs| jobs.map(&:promise_at) }

    assert_operator promises.first.first, :<, promises.last.first
    assert_equal [true, true], [/holds 50 times/, /holds 99 times/].zip(promised.map(&:first))
      .map { |words, job| job.promise_reason.match?(words) }
    assert_equal(*promises.map(&:last))
  end

  def keep(figure, key)
    Services::SavePolicies.call({ key => figure }, by: owner, at: NOW)
  end

  def test_what_is_much_surer_a_little_later_is_promised_a_little_later
    jobs = Array.new(4) { job({ "roll" => { turns: "stuck" } }) }
    early, late = [0, 60].map do |minutes|
      keep(minutes, "minutes_for_one_more")
      jobs.map { |one| Services::Promises.fields(one, at: monday) }
    end
    times = [early, late].map { |promises| promises.map { |one| one[:promise_at].to_i } }
    later = times.transpose.map { |from, till| till - from }

    assert_equal [(monday + 3600).to_i], times.first.uniq
    assert_empty later - [0, 900, 1800]
    assert_operator later.max, :>, 0
    late.each { |one| assert_match(/holds 9[89] times/, one[:promise_reason]) }
  end

  def waiting_for_a_part
    Models::WorkItem.where(part_id: part("HD-2010").id, state: "to_do").delete
    Services::CountStock.call(part("HD-2010"), pieces: 0, reason: "counted", by: owner, at: NOW)
    one = job({ "pre-filter" => { torn: true } })
    Services::ChoosePart.call(one.number, item(one, "pre-filter").id, choice: part("HD-2010").id.to_s, by: technician,
      at: monday)
    one.refresh
  end

  # The one that is ready last says when both can be fetched.
  def test_machines_of_one_customer_are_promised_together
    first = job({ "roll" => { turns: "stuck" } })
    settle(first)
    second = job({ "pre-filter" => { grey: 5 } })
    second.update(customer_id: first.customer_id)

    assert_equal [[first.number, first.refresh.promise_at]], Queries::OthersOfCustomer.call(second)
    Services::Settle.call(second.number, agreed_name: "x", agreed_how: "counter", together: true, by: technician,
      at: monday)

    assert_equal second.refresh.promise_at, first.refresh.promise_at
    assert_operator first.promise_at, :>, monday + 86_400
    assert_equal 1, Models::Event.where(verb: "promised together", job_id: first.id).count
  end

  # Beside others, with a promise that must hold: what the page shows is what is given.
  def test_what_is_shown_is_what_is_given
    settle(job({ "roll" => { turns: "stuck" } }))
    one = job({ "pre-filter" => { grey: 5 }, "roll" => { turns: "stuck" } })
    shown = Queries::JobPage.new(one, now: monday, policies: Services::Policies.now).promise_now.at
    settle(one)

    assert_equal shown, one.refresh.promise_at
  end

  # Three machines and one pair of hands: within the hour that is promised for one there may be room for another, and is
  # none for a third. Which of the two that may be hangs on the draws, which go by the jobs' numbers.
  def test_a_promise_that_was_given_is_kept_free
    work = { "roll" => { turns: "stuck" } }
    first, *others = jobs = Array.new(3) { job(work) }

    assert_equal [monday + 3600], jobs.map(&:promise_at).uniq
    jobs.each { |one| settle(one) }

    assert_equal monday + 3600, first.refresh.promise_at
    last = others.map(&:refresh).max_by(&:promise_at)

    assert_operator last.promise_at, :>, first.promise_at
    assert_match(/after work on (#{jobs.map(&:number).join('|')})/, last.promise_reason)
    assert_equal(jobs.to_h { |one| [one.number, true] }, Queries::PlannedJobs.now.to_h do |number, steps|
      [number, steps.map(&:till).max <= Models::Job.first(number: number).promise_at]
    end)
  end

  # The shop's own minutes count: twenty rolls that took three times as long.
  def test_it_learns_from_what_was_done
    before = job({ "roll" => { turns: "stuck" } }).promise_at
    20.times do
      one = job({ "roll" => { turns: "stuck" } })
      item(one, "roll").update(state: "done", done_by: technician.id, done_at: monday, took_minutes: 27)
    end

    assert_operator job({ "roll" => { turns: "stuck" } }).promise_at, :>, before
  end

  def test_a_wash_waits_for_a_slot_of_the_rack
    free = job({ "pre-filter" => { grey: 5 } }).promise_at
    Models::RackSlot.exclude(id: Models::RackSlot.in_use.min(:id)).update(closed: true)
    settle(job({ "post-filter" => { grey: 5 } }))

    assert_operator job({ "pre-filter" => { grey: 5 } }).promise_at, :>, free + 86_400
  end

  # More washes than the rack has slots, a part that comes next year, and a shop that is closed for a season.
  def test_what_is_unusual_has_a_time_all_the_same
    Models::RackSlot.exclude(id: Models::RackSlot.in_use.min(:id)).update(closed: true)

    refute_nil job({ "pre-filter" => { grey: 5 }, "post-filter" => { grey: 5 } }).promise_at
    policies = Services::Policies.now
    one = job({ "roll" => { turns: "stuck" } })
    far = Services::AskPromise.new(one.number, at: monday, policies: policies)
      .call([Services::Promises::Ask.new(10, 0, 900, "replace")])

    assert_operator far.at, :>, monday + (100 * 86_400)
    closed = (0..300).map { |day| { "on" => (Config::Zone.date(monday) + day).iso8601 } }
    season = Services::AskPromise.new(one.number, at: monday, policies: Services::Policies.new("closed_days" => closed))

    assert_operator season.call([Services::Promises::Ask.new(10, 0, 0, "clean")]).at, :>, monday + (300 * 86_400)
  end

  def test_a_plan_is_made_anew_and_says_how_sure_each_promise_is
    one = job({ "roll" => { turns: "stuck" } })
    settle(one)
    Services::MakePlan.call(at: monday)

    assert_operator Queries::PlanOfBench.new(now: NOW).shares.fetch(one.number), :>=, 0.9
    Services::MakePlan.call(at: monday + 3600)

    assert_equal [0.0, %i[work refit]],
      [Queries::PlanOfBench.new(now: NOW).shares.fetch(one.number), Queries::PlannedJobs.now.fetch(one.number).map(&:key)]
  end

  private

  def settle(job)
    Services::Settle.call(job.number, agreed_name: "Anna", agreed_how: "counter", by: technician, at: monday)
  end
end
