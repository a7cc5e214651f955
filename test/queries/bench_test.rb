# frozen_string_literal: true

require_relative "../test_helper"

# What stands beside the bench: who is expected, what was kept of what was promised, what a new shop does first.
class BenchQueriesTest < DatabaseTest
  def expected(on = today)
    Queries::ExpectedToday.call(today: on, policy: Services::Policies.now.cards)
  end

  def book(customer, on, card: nil, **more)
    Models::Booking.create(customer_id: customer.id, card_id: card&.id, drop_off_on: on, booked_by: owner.id,
      booked_at: NOW, **more)
  end

  def test_who_said_today_or_an_earlier_day_is_expected_who_said_later_is_not
    Models::Booking.booked.update(state: "called_off")
    late, today_, tomorrow = [today - 2, today, today + 1].map { |on| book(new_machine.customer, on) }

    assert_equal [late, today_].map(&:customer_id), expected.bookings.map(&:customer_id)
    assert_equal [late, today_, tomorrow].map(&:customer_id), expected(today + 1).bookings.map(&:customer_id)
    today_.update(state: "came")

    assert_equal [late.customer_id], expected.bookings.map(&:customer_id)
  end

  # A card that names one machine says with which it will be; one that names two does not.
  def test_the_machine_is_named_where_the_card_named_one
    Models::Booking.booked.update(state: "called_off")
    machine = new_machine
    card = write_card(machine.customer)
    Services::BeginClocks.call([machine], { machine.id => today - 400 }, on: today)
    dues = Models::Due.running.where(machine_id: machine.id).order(:due_on).limit(2).all
    dues.each { |due| Models::CardLine.create(card_id: card.id, due_id: due.id, attempt: 1, leaves_on: today) }
    book(machine.customer, today, card: card)

    assert_equal [machine.id, dues.map { |due| "#{due.action} #{due.position_name.downcase}" }],
      expected.bookings.first.to_a.last(2)
    other = Services::AddMachine.call(machine.customer, sheet_id: sheet("Ostrel Stride 36").id, by: owner, at: NOW)
    Models::Due.where(id: dues.last.id).update(machine_id: other.id, cycle: 99)

    assert_equal [nil, nil], expected.bookings.first.to_a.last(2)
  end

  def test_a_message_that_a_person_must_look_at_counts
    before = expected.need_attention
    message = write_card(new_machine.customer).message
    { "unsure" => 1, "given_up" => 1, "failed" => 0, "queued" => 0 }.each do |state, more|
      message.update(state: state, handed_over_at: nil)

      assert_equal before + more, expected.need_attention, state
    end
  end

  # Kept is what was ready by the time that was said first, however often it was said anew.
  def test_a_promise_that_was_put_off_was_not_kept
    Models::Job.dataset.update(closed_up_at: nil)
    kept, late, put_off, old = Array.new(4) { settled({ "pre-filter" => { torn: true } }) }
    { kept => 0, late => 60, put_off => 60 }.each do |job, after|
      job.update(promise_at: NOW, closed_up_at: NOW + after)
    end
    old.update(promise_at: NOW, closed_up_at: NOW - ((Queries::PromisesKept::DAYS + 1) * 86_400))
    put_off.update(promise_at: NOW + 3600)

    assert_equal [3, 2], tries_and_hits, "of the job that was put off, what was said first is not known yet"
    Services::History.note("promised later", put_off, by: owner, at: NOW, job: put_off,
      data: { from: NOW.iso8601, to: (NOW + 3600).iso8601 })

    assert_equal [3, 1], tries_and_hits
  end

  def tries_and_hits
    answer = Queries::PromisesKept.call(now: NOW)
    [answer.tries, answer.hits]
  end

  def test_a_shop_that_had_a_machine_needs_no_first_steps
    assert_empty Queries::FirstSteps.call
    Models::Job.stub(:empty?, true) do
      done = -> { Queries::FirstSteps.call.to_h { |step| [step.path, step.done] } }

      assert_equal [true, true, true, false], done.call.values_at("/sheets", "/people", "/rack", "/take-in")
      Models::RackSlot.dataset.update(closed: true)

      refute done.call["/rack"]
    end
  end
end
