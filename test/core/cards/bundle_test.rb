# frozen_string_literal: true

require_relative "../../core_helper"

class BundleTest < CoreTest
  def due(days, **more)
    Cards::DueTask.new(id: days, customer_id: 1, due_on: MONDAY + days, **more)
  end

  def bundle(*tasks, email: true, **policy)
    address = Cards::Address.new(ways: { email: "a@example.org", post: "Old Slip 1" }, agreed: [email ? :email : :post])
    Cards::Bundle.new(customer_id: 1, tasks: tasks, address: address, policy: Cards::Policy.new(**policy),
      today: MONDAY)
  end

  def test_leaves_ahead_of_the_due_date_by_the_channels_lead
    assert_equal MONDAY + 10, bundle(due(20)).leaves_on
    assert_equal MONDAY, bundle(due(20), email: false).leaves_on
    assert bundle(due(21), email: false).leaves_by?(MONDAY)
    refute bundle(due(22), email: false).leaves_by?(MONDAY)
    assert_equal MONDAY + 10, bundle(due(20), due(40)).leaves_on
  end

  def test_a_card_is_the_follow_up_of_what_was_written_of_most_often
    told = due(20, attempts: 1, carded_on: MONDAY - 90)

    assert_equal [1, 2], [bundle(due(20)), bundle(told, due(30))].map(&:attempt)
  end

  def test_tasks_within_the_window_travel_along
    assert_equal [5, 50], bundle(due(5), due(50), due(51)).lines.map(&:id)
  end

  def test_what_is_overdue_travels_together_however_far_apart
    assert_equal [-200, -5, 45], bundle(due(-200), due(-5), due(45), due(46)).lines.map(&:id)
  end

  def test_what_is_held_back_and_why
    { { on_bench: true } => /on the bench/, { machine_state: :sold } => /sold/,
      { machine_state: :scrapped } => /scrapped/,
      { snoozed_until: MONDAY + 1 } => /not before/, { attempts: 1, carded_on: MONDAY - 29 } => /a card left on 1 Feb/,
      { attempts: 3, carded_on: MONDAY - 90 } => /3 cards/, { may_card: false } => /at home/ }.each do |fields, words|
      one = bundle(due(1, **fields))

      assert_empty one.lines, fields.to_s
      assert_match words, one.held_back.values.first.words
    end
  end

  def test_those_held_back_are_counted_without_their_day
    holds = [bundle(due(1, snoozed_until: MONDAY + 1)), bundle(due(1, snoozed_until: MONDAY + 2))]
      .map { |one| one.held_back.values.first }

    assert_equal ["asked not before 3 Mar 2026", "asked not before 4 Mar 2026"], holds.map(&:words)
    assert_equal ["asked to wait"], holds.map(&:counted_as).uniq
  end

  # After the last follow-up nobody hears more, until the next time round or because somebody chose them again.
  def test_written_to_anew_a_year_on_or_when_chosen
    held = ->(**more) { bundle(due(-400, attempts: 3, **more)).held_back.values.first&.words }

    assert_match(/3 cards/, held.call(carded_on: MONDAY - 364))
    assert_nil held.call(carded_on: MONDAY - 365)
    assert_match(/3 cards/, bundle(due(-400, attempts: 3, carded_on: MONDAY - 365), write_again_days: 400)
      .held_back.values.first.words)
    assert_nil held.call(carded_on: MONDAY - 40, snoozed_until: MONDAY)
    [40, 100].each do |days|
      assert_match(/3 cards/, held.call(carded_on: MONDAY - 40, snoozed_until: MONDAY - days))
    end
  end

  # Nobody who was just here hears that something is due, unless they asked to be told.
  def test_quiet_after_a_hand_over
    held = ->(days, **more) { bundle(due(1, here_on: MONDAY - days, **more)).held_back.values.first&.words }

    assert_equal "was here on 2 Jan 2026", held.call(59)
    assert_nil held.call(60)
    assert_nil held.call(1, snoozed_until: MONDAY)
    assert_empty bundle(due(1, here_on: MONDAY - 60), quiet_days: 60).held_back
    refute_empty bundle(due(1, here_on: MONDAY - 60), quiet_days: 61).held_back
  end

  # Two follow-ups after the first card, and no more.
  def test_the_last_follow_up_still_goes
    sent = ->(attempts) { bundle(due(-400, attempts: attempts, carded_on: MONDAY - 31)) }

    assert_equal [3, {}], sent.call(2).then { |last| [last.attempt, last.held_back] }
    assert_empty sent.call(3).lines
  end

  def test_why_no_card_can_go
    address = Cards::Address.new(ways: {}, agreed: %i[email])
    nowhere = Cards::Bundle.new(customer_id: 1, tasks: [due(1)], address: address, policy: Cards::Policy.new,
      today: MONDAY)

    assert_equal [nil, address.obstacle], [bundle(due(1)).obstacle, nowhere.obstacle]
    refute nowhere.leaves_by?(MONDAY)
  end

  def test_a_follow_up_after_the_gap
    one = bundle(due(-30, attempts: 1, carded_on: MONDAY - 30))

    assert one.leaves_by?(MONDAY)
    assert_equal 2, one.attempt
  end

  def test_no_channel_no_card
    [{ ways: { email: "a@b.c" } }, { agreed: %i[email] },
     { ways: { email: "a@b.c" }, agreed: %i[email], stopped: true }].each do |fields|
      address = Cards::Address.new(**fields)

      assert_nil address.channel
      refute_nil address.obstacle
    end
    assert_equal :post, Cards::Address.new(ways: { post: "Old Slip 1", email: "a@b.c" }, agreed: %i[post]).channel
  end

  def test_an_address_that_takes_nothing_gives_way_to_the_next_channel
    address = Cards::Address.new(ways: { email: "a@b.c", phone: "555-0100" }, agreed: %i[email phone],
      faults: { email: "it came back" })

    assert_equal :phone, address.channel
    assert_match(/e-mail: it came back/, address.with(agreed: %i[email]).obstacle)
  end

  def test_nothing_leaves_on_a_closed_day
    address = Cards::Address.new(ways: { email: "a@b.c" }, agreed: %i[email])
    open_day = ->(day) { day.sunday? ? day - 1 : day }
    one = Cards::Bundle.new(customer_id: 1, tasks: [due(16)], address: address, policy: Cards::Policy.new,
      today: MONDAY, open_day: open_day)

    assert_equal MONDAY + 5, one.leaves_on
    assert one.leaves_by?(MONDAY + 5)
  end
end
