# frozen_string_literal: true

require_relative "../test_helper"

# What the look-over found and what the clocks say are one book.
class FoundMovesDatesTest < DatabaseTest
  # @return [Hash{Array=>Models::Due}] place and task => what runs after the job
  def after(machine, findings, done: false)
    job = settled(findings, machine: machine)
    do_all(job) if done
    close_job(job)
    Models::Due.running.where(machine_id: machine.id).all.to_h { |due| [[due.position, due.task], due] }
  end

  # A robot of which nobody knows since when it runs: what was judged good is not due on the same day.
  def test_what_is_judged_good_is_not_due_today_though_its_history_is_unknown
    dues = after(new_machine("Tolliver Rove Q", bought_on: nil),
      { "wheels" => { state: "turn" }, "clean-tank" => { state: "clean" }, "dock-bag" => { fill_percent: 10 } })

    [%w[wheels clean], %w[clean-tank clean], %w[dock-bag replace]].each do |key|
      assert_operator dues.fetch(key).due_on, :>, today + 14, key.join(" ")
      refute_equal "unknown", dues.fetch(key).deciding, key.join(" ")
    end
    assert_equal [today, "unknown"], dues.fetch(%w[pleat replace]).values.values_at(:due_on, :deciding), "not looked at"
  end

  # A stick 400 days old: its bristles are full, so its roll is not due since October.
  def test_a_roll_with_full_bristles_is_no_card_of_tomorrow
    machine = new_machine(bought_on: today - 400)
    dues = after(machine, { "roll" => { turns: "free", bristles: "full" } })

    assert_operator dues.fetch(%w[roll replace]).due_on, :>, today + 200
    assert_match(/found 25 % gone/, English::Sentences.of(dues.fetch(%w[roll replace]).why.first))
  end

  # What was done begins at nothing, whatever was found before.
  def test_what_was_done_begins_anew
    dues = after(new_machine(bought_on: today - 400), { "roll" => { turns: "drags", bristles: "full" } }, done: true)

    assert_nil dues.fetch(%w[roll clean]).load
    assert_equal [today, today >> 2], dues.fetch(%w[roll clean]).values.values_at(:started_on, :due_on)
    assert_in_delta 0.25, dues.fetch(%w[roll replace]).load.to_f
  end

  # Cut free and tapped out: of neither is known since when it has been in, and whoever did it would have seen it worn.
  # The roll of a machine whose age is known goes by its age.
  def test_what_was_cared_for_is_not_to_be_replaced_the_same_day_though_its_history_is_unknown
    found = { "roll" => { turns: "drags" }, "post-filter" => { grey: 2 } }
    dues = after(new_machine(bought_on: nil), found, done: true)

    [%w[roll replace], %w[post-filter replace]].each do |key|
      assert_operator dues.fetch(key).due_on, :>, today + 90, key.join(" ")
    end
    known = after(new_machine(bought_on: today - 800), found, done: true)

    assert_nil known.fetch(%w[roll replace]).load
    assert_operator known.fetch(%w[roll replace]).due_on, :<, today
  end

  # A limit that comes whatever is seen, of a part whose age nobody knows, is asked about: no card says since when.
  def test_a_fixed_limit_of_unknown_start_is_looked_at_again_and_not_overdue
    dues = after(new_machine("Corvane Drum 30", bought_on: nil), { "exhaust-filter" => { grey: 2 } },
      done: true)
    exhaust = dues.fetch(%w[exhaust-filter replace])

    assert_operator exhaust.due_on, :>, today
    assert_match(/found 40 % gone/, English::Sentences.row_of(exhaust.why))
  end

  # Who wants no wash of a filter that sits loose as well has its seat cleaned all the same, and may still change their
  # mind.
  def test_who_leaves_the_wash_does_not_leave_the_seat
    job = take_in(new_machine)
    record(job, "pre-filter", { grey: 4, loose: true })
    Services::FinishLookOver.call(job.number, by: technician, at: NOW)
    filter = item(job, "pre-filter")
    choose = lambda { |choice|
      Services::ChoosePart.call(job.number, filter.id, choice: choice, by: technician, at: NOW)
      filter.refresh.values.values_at(:action, :state)
    }

    assert_equal %w[clean to_do], choose["leave"]
    assert_equal %w[wash to_do], choose["wash"]
    assert_equal %w[clean to_do], choose["leave"]
    assert_equal %w[clean left], choose["leave"]
  end

  # Found to be as far gone as it may be, and left so by the customer: due that day.
  def test_what_is_far_gone_and_left_is_due_that_day
    job = settled({ "pre-filter" => { grey: 5 } }, machine: new_machine(bought_on: today - 10))
    Services::ChoosePart.call(job.number, item(job, "pre-filter").id, choice: "leave", by: technician, at: NOW)
    close_job(job)

    assert_equal today,
      Models::Due.running.first(machine_id: job.machine_id, position: "pre-filter", task: "wash").due_on
  end

  # Dates that are computed again rest on what was found.
  def test_computed_again_the_dates_stand
    machine = new_machine(bought_on: today - 400)
    before = after(machine, { "roll" => { turns: "free", bristles: "full" } }).transform_values(&:due_on)
    Services::SetClocks.again([machine], on: today, why: "again")

    assert_equal before,
      Models::Due.running.where(machine_id: machine.id).all.to_h { |due| [[due.position, due.task], due.due_on] }
  end

  # The next job compares what it finds with the clock of the task that the finding ages.
  def test_what_was_expected_goes_by_the_task_that_the_finding_ages
    begun = today - 15
    machine = new_machine(bought_on: begun)
    Services::SetClocks.call(machine, on: begun)
    job = take_in(machine)
    record(job, "pre-filter", { grey: 3 })

    of_the_month = 15 / (begun.next_month - begun).to_f # which is washed every month

    assert_in_delta of_the_month, Models::Finding.first(job_id: job.id, position: "pre-filter").wear_expected.to_f, 0.01
  end

  def test_nobody_is_told_to_replace_what_nobody_knows
    machine = new_machine(bought_on: nil)
    Services::SetClocks.call(machine, on: today)
    due = Models::Due.running.first(machine_id: machine.id, position: "post-filter", task: "replace")

    assert_equal "unknown", due.deciding
    bundle = Services::DueBook.new(today: today, customer_ids: [machine.customer_id])
    letter = Outbox::Letters.new([]).preview(machine.customer, bundle.rows, attempt: 1, offer: nil, today: today)

    assert_match(/a look at the post-motor filter/, letter.text)
    refute_match(/a new post-motor filter/, letter.text)
  end
end
