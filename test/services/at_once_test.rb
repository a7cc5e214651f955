# frozen_string_literal: true

# Group: slow (several at once, on the real database)

require_relative "../test_helper"

# The same thing, or nearly the same, from several hands in the same moment, each on a connection of its own.
class AtOnceTest < CommittedTest
  MANY = 8

  # @return [Array] what each gave back, or the error that it was answered with
  def at_once(count = MANY, &block)
    gate = Queue.new
    threads = Array.new(count) do |index|
      Thread.new do
        gate.pop
        block.call(index)
      rescue Services::Error => e
        e
      end
    end
    count.times { gate << true }
    threads.map(&:value)
  end

  def input(**more)
    machine = { rough: { maker: "Ewer", model: "Nine", kind: :stick }, serial_number: "P-#{SecureRandom.hex(4)}" }
    { customer: { name: "Perpetua Neu" }, machine: machine, use: { hours_per_week: 1 }, complaint: "weak",
      request_key: SecureRandom.uuid, **more }
  end

  def test_machines_of_one_unknown_model_get_one_sheet
    jobs = at_once { Services::TakeIn.call(input, by: technician, at: NOW) }

    assert_equal [Models::Job], jobs.map(&:class).uniq
    assert_equal 1, Models::Sheet.where(maker: "Ewer").count
    assert_equal MANY, jobs.map { |job| job.machine.id }.uniq.size
  end

  def test_a_take_in_sent_several_times_is_one_and_every_answer_is_the_same
    known = new_machine
    [{ machine_id: known.id, customer_id: known.customer_id, customer: nil, machine: nil }, {}].each do |subject|
      form = input(**subject).compact
      jobs = at_once { Services::TakeIn.call(form, by: technician, at: NOW) }

      assert_equal [Models::Job], jobs.map(&:class).uniq, jobs.grep(Services::Error).map(&:message).uniq.inspect
      assert_equal 1, jobs.map(&:number).uniq.size
    end
  end

  def test_one_machine_put_on_the_bench_by_several
    known = new_machine
    answers = at_once do
      Services::TakeIn.call(input(machine_id: known.id, customer: nil, machine: nil).compact, by: technician, at: NOW)
    end

    assert_equal 1, answers.grep(Models::Job).size
    assert(answers.grep(Services::Error).all? { |error| error.message.match?(/on the bench/) })
  end

  # A fleet's machines, agreed at two counters: nobody waits for the other, and all have the time of the last.
  def test_machines_of_one_customer_promised_together
    first = new_machine
    jobs = [first, *Array.new(3) { new_machine.tap { |one| one.update(customer_id: first.customer_id) } }].map do |one|
      take_in(one).tap { |job| record(job, "pre-filter", { grey: 5 }) }
    end
    jobs.each { |job| Services::FinishLookOver.call(job.number, by: technician, at: NOW) }
    answers = at_once(jobs.size) do |index|
      Services::Settle.call(jobs[index].number, agreed_name: "x", agreed_how: "counter", together: true,
        by: technician, at: NOW)
    end

    assert_equal [Models::Job], answers.map(&:class).uniq, answers.grep(Services::Error).map(&:message).inspect
    assert_equal 1, jobs.map { |job| job.refresh.promise_at }.uniq.size
  end

  # Eight at once, half of whom find the shelf empty after their bill was written: no number is left out or used twice.
  def test_bills_are_numbered_without_a_gap
    part = Models::Part.first(number: "HD-2010")
    none = Models::Part.exclude(id: Models::StockLevel.exclude(pieces: 0).select(:part_id)).first
    Services::MoveStock.call(part, pieces: 50, kind: "received", by: owner, at: NOW)
    sold = at_once(MANY * 2) do |index|
      Services::SellOverCounter.call(pieces: { (index.even? ? part : none).id => 1 }, way: "cash", by: owner, at: NOW,
        request_key: SecureRandom.uuid)
    end

    assert_equal MANY, sold.grep(Models::Bill).size
    numbers = Models::Bill.order(:number).select_map(:number)

    assert_equal (1..numbers.size).to_a, numbers
  end

  # Whoever pays and whoever hands over lock the same things in the same order, and the job is paid once.
  def test_paid_and_handed_over_at_once
    job = take_in
    job.update(look_fee_cents: 2500)
    Services::EndEarly.call(job.number, how: "declined", by: technician, at: NOW)
    at_once do |index|
      if index.even?
        Services::TakePayment.call(of: Models::Job[job.id], way: "cash", cents: 100, by: owner, at: NOW)
      else
        Services::HandOver.call(job.number, missing_note: "none", way: "cash", by: owner, at: NOW)
      end
    end

    assert_equal ["handed_over", 0], [job.refresh.state, Services::Balance.of_job(job)]
    assert_equal 1, Models::Bill.where(job_id: job.id).count
  end

  def test_one_settles_and_the_others_hear_who_did
    job = take_in
    record(job, "pre-filter", { grey: 5 })
    Services::FinishLookOver.call(job.number, by: technician, at: NOW)
    answers = at_once do |index|
      Services::Settle.call(job.number, agreed_name: "Name #{index}", agreed_how: "phone",
        warranty_name: "Wendel", by: technician, at: NOW)
    end
    kept = job.refresh.agreed_name

    assert_equal 1, answers.grep(Models::Job).size
    assert_equal ["This was settled just now by #{technician.name}: #{kept} agreed. Yours was not saved."],
      answers.grep(Services::Refused).map(&:message).uniq
    assert_equal 1, Models::Estimate.where(job_id: job.id).count
    again = Services::Settle.call(job.number, agreed_name: kept, agreed_how: "phone", warranty_name: "Wendel",
      by: technician, at: NOW)

    assert_equal job.number, again.number, "the same form once more"
  end

  def test_one_clears_a_stop_and_the_others_hear_who_did
    job = take_in
    record(job, "battery", { state: "swollen" })
    stop = Models::Stop.standing.first(job_id: job.id)
    answers = at_once do |index|
      Services::ClearStop.call(job.number, stop.id, note: "note #{index}", by: technician, at: NOW)
    end

    assert_equal 1, answers.grep(Models::Job).size
    assert(answers.grep(Services::Refused).all? { |error| error.message.include?(stop.refresh.note) })
  end

  # A burst of guesses gets no more looks at the password than as many in a row would.
  def test_guesses_in_the_same_moment
    waits = at_once(20) do
      Services::SignInTries.new(login: "ines@example.org", address: "192.0.2.1", key: "k").begin(at: NOW)
    end

    assert_equal 3, waits.count(nil)
  end

  # Right and wrong ones in the same moment: none waits for another in a ring.
  def test_right_passwords_among_the_guesses
    at_once(16) do |index|
      tries = Services::SignInTries.new(login: "ines@example.org", address: "192.0.2.#{index % 2}", key: "k")
      12.times { tries.begin(at: NOW).nil? && index.even? ? tries.right : nil }
    end

    assert_operator DB[:sign_in_tries].count, :<=, 4
  end
end
