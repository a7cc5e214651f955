# frozen_string_literal: true

require_relative "../test_helper"

# How far a batch is, by the states of its messages.
class BatchQueriesTest < DatabaseTest
  # For each state of a message: how many count as through, and whether the batch moves on by itself. A batch whose
  # messages are all through is about to end; a failed message waits for its next try.
  STATES = { "queued" => [0, true], "handing_over" => [0, true], "failed" => [0, false], "handed_over" => [1, true],
             "withdrawn" => [1, true], "rejected" => [1, true], "given_up" => [1, true], "bounced" => [1, true],
             "unsure" => [1, true] }.freeze

  def batch(states, leaves_on: today, state: "leaving", expected: 0)
    made = Models::Batch.create(until_on: today, created_by: owner.id, created_at: NOW, state: state,
      expected: expected)
    states.each do |one|
      write_card(customer, at: NOW).message.update(batch_id: made.id, leaves_on: leaves_on, **one_of(one))
    end
    Queries::BatchOverview.new(made, today: today)
  end

  def one_of(state)
    { state: state, handed_over_at: (NOW if %w[handed_over bounced].include?(state)) }
  end

  def customer
    @customer ||= new_machine.customer
  end

  def test_each_state_of_a_message
    STATES.each do |state, (through, moving)|
      overview = batch(["handed_over", state])

      assert_equal [1 + through, 2], [overview.through, overview.whole], state
      assert_equal moving, overview.moving?, state
    end
  end

  def test_a_batch_that_is_being_written_is_as_large_as_was_expected
    overview = batch(%w[queued queued], state: "writing", expected: 7)

    assert_equal [7, 0], [overview.whole, overview.through]
    assert_predicate overview, :moving?
    assert_equal 3, batch(%w[queued] * 3, expected: 2).whole, "more were written than expected"
  end

  # Messages for a later day do not leave today. The overview says how many wait, and for which day.
  def test_what_waits_for_a_later_day
    overview = batch(%w[queued queued handed_over], leaves_on: today + 3)

    refute_predicate overview, :moving?
    assert_equal [2, today + 3], overview.waiting
    overview.batch.messages_dataset.where(state: "queued").limit(1).first.update(leaves_on: today)

    assert_predicate overview, :moving?
    assert_equal [1, today + 3], overview.waiting
    overview.batch.update(state: "cancelled", finished_at: NOW)

    assert_nil overview.waiting
    refute_predicate overview, :moving?
    assert_nil batch(%w[handed_over]).waiting
  end

  def test_a_batch_that_a_person_stopped_does_not_move
    refute_predicate batch(%w[queued], state: "paused"), :moving?
  end

  def test_messages_page_by_page
    overview = batch(["queued"] * 3)
    ids = overview.messages.map(&:id)

    assert_equal ids.drop(1), overview.messages(after: ids.first).map(&:id)
    assert_equal ["Wendel Testrup", "email", "queued", today],
      overview.messages.first.to_h.values_at(:customer, :channel, :state, :leaves_on)
    assert_equal({ "email" => 3 }, overview.channels)
  end

  # The newest card of each customer, and no customer twice.
  def test_words_are_tried_on_the_newest_card_of_a_few
    mine = Array.new(Queries::SampleCards::CUSTOMERS + 1) { |n| new_machine(name: "Zz #{n}").customer }
    mine.each { |one| write_card(one) }
    newest = mine.map { |one| write_card(one).id }
    again = write_card(mine.last).id
    expected = [again, *newest[0..-2].reverse].first(Queries::SampleCards::CUSTOMERS)

    assert_equal expected.sort, Queries::SampleCards.call.map(&:id).sort
  end
end
