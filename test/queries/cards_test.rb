# frozen_string_literal: true

require_relative "../test_helper"

# What the pages of the cards ask: whom to call, who did not answer, what was answered, what is to be sent.
class CardQueriesTest < DatabaseTest
  def answer(card, kind, at: NOW, **more)
    Models::Answer.create(card_id: card.id, kind: kind, answered_at: at, **more)
  end

  def begin_clocks(machine)
    Services::BeginClocks.call([machine], { machine.id => today - 400 }, on: today)
  end

  # @return [Models::Card] that names what is to be replaced on a machine
  def card_naming(machine)
    begin_clocks(machine)
    card = write_card(machine.customer)
    due = Models::Due.running.where(machine_id: machine.id, action: "replace").order(:id).first
    Models::CardLine.create(card_id: card.id, due_id: due.id, attempt: 1, leaves_on: today)
    card
  end

  def test_who_was_called_least_is_called_first_and_who_answered_not_at_all
    DB[:messages].where(channel: "phone").update(channel: "post")
    often, never, answered = Array.new(3) do |n|
      write_card(new_machine(phone: "555-018#{n}").customer, channel: "phone")
    end
    often.update(phone_calls: 2)
    answered.update(answered_at: NOW)
    calls = -> { Queries::PhoneCalls.call(today: today, shop: Models::Shop.the).map { |card, _| card.id } }

    assert_equal [never.id, often.id], calls.call
    never.message.update(handed_over_at: NOW - ((Services::HearAnswer::VALID_DAYS + 2) * 86_400))

    assert_equal [often.id], calls.call, "half a year later nobody is called about it"
  end

  # An answer that was written down late stands where it belongs; and no page leaves one out or shows one twice.
  def test_answers_by_when_they_were_given_page_by_page
    cards = Array.new(Queries::RecentAnswers::PAGE + 3) { write_card(new_machine.customer) }
    ids = cards.each_with_index.map { |card, n| answer(card, "not_now", at: NOW + 60 - (n % 5)).id }
    first = Queries::RecentAnswers.call
    second = Queries::RecentAnswers.call(before: first.last.id).select { |row| row.answered_at > NOW }

    assert_equal [Queries::RecentAnswers::PAGE, 3], [first.size, second.size]
    assert_equal ids.sort, (first + second).map(&:id).sort
    assert_equal (first + second).map(&:answered_at), (first + second).map(&:answered_at).sort.reverse
  end

  def test_a_part_is_to_be_sent_while_it_is_due_and_not_packed
    machine = new_machine
    card = card_naming(machine)
    answer(card, "send_part", note: "to the boat")
    mine = -> { Queries::PartsToSend.call.select { |row| row.card_id == card.id } }

    assert_equal [[machine.id, "to the boat"]], mine.call.map { |row| [row.machine_id, row.note] }
    due = Models::Due.first(id: card.lines_dataset.get(:due_id))
    due.update(state: "done", closed_on: today)

    assert_empty mine.call, "it was done meanwhile"
    due.update(state: "open", closed_on: nil)
    card.lines_dataset.update(void: true)

    assert_empty mine.call, "the card no longer says so"
  end

  def test_who_asked_for_something_else_gets_no_part
    card = card_naming(new_machine)
    answer(card, "will_come")

    assert_empty(Queries::PartsToSend.call.select { |row| row.card_id == card.id })
  end

  # Who had as many cards as the shop writes hears no more, and stands here; a machine that was sold is nobody's.
  def test_unanswered_is_a_line_a_customer
    machine = new_machine
    begin_clocks(machine)
    most = Services::Policies.now.cards.most_follow_ups
    dues = Models::Due.running.where(machine_id: machine.id, may_card: true)
    dues.update(due_on: today - 200, early_on: today - 220, late_on: today - 180, attempts: most + 1,
      carded_on: today - 150)
    mine = -> { Queries::Unanswered.call(Services::DueBook.new(today: today)).select { |row| row.customer_id == machine.customer_id } }

    assert_equal [[dues.count, most + 1, today - 150]], mine.call.map { |row| [row.tasks, row.cards, row.last_on] }
    machine.update(state: "scrapped")

    assert_empty mine.call
  end

  def test_bookings_past_ones_stand_first_and_those_that_came_not_at_all
    Models::Booking.booked.update(state: "called_off")
    days = [today + 3, today - 1, today]
    made = days.map do |on|
      Models::Booking.create(customer_id: new_machine.customer_id, drop_off_on: on, booked_by: owner.id, booked_at: NOW)
    end

    assert_equal days.sort, Queries::Bookings.open.map(&:drop_off_on)
    assert_equal [today, today + 3], Queries::Bookings.from(today).map(&:drop_off_on)
    made.first.update(state: "came")

    assert_nil Queries::Bookings.of_customer(made.first.customer_id)
    assert_equal made.last, Queries::Bookings.of_customer(made.last.customer_id)
  end
end
