# frozen_string_literal: true

require_relative "../test_helper"

# Which cards brought which jobs, by channel and attempt.
class CardReturnsTest < DatabaseTest
  def setup
    Models::Message.dataset.update(leaves_on: today - 900)
  end

  def card(days_ago, channel: "email", attempt: 1, came_after: nil)
    machine = new_machine
    sent = in_days(-days_ago)
    @card = naming(machine, channel: channel, attempt: attempt, at: sent)
    take_in(machine, at: in_days(came_after - days_ago)) if came_after
    @card
  end

  # @return [Models::Card] that names a task of the machine
  def naming(machine, at:, **more)
    Services::SetClocks.call(machine, on: today) if Models::Due.where(machine_id: machine.id).empty?
    write_card(machine.customer, at: at, **more).tap do |card|
      Models::CardLine.create(card_id: card.id, due_id: Models::Due.order(:id).first(machine_id: machine.id).id,
        attempt: more.fetch(:attempt, 1), leaves_on: Config::Zone.date(at))
    end
  end

  def returns
    Services::CardReturns.new(today: today).by_attempt.transform_values { |share| [share.hits, share.tries] }
  end

  def test_counted_by_channel_and_attempt
    card(100, came_after: 5)
    card(100)
    card(100, attempt: 2, came_after: 59)
    card(100, channel: "post", came_after: 61)

    assert_equal({ ["email", 1] => [1, 2], ["email", 2] => [1, 1], ["post", 1] => [0, 1] }, returns)
  end

  # By the first date on a card; follow-ups are not asked how long ahead they left.
  def test_counted_by_how_long_ahead_it_left_and_what_it_offered
    offer = Services::Offers.begin({ minutes: 15, starts_on: today - 200, ends_on: today }, by: owner, at: NOW)
    { 30 => 5, 21 => nil, 20 => 3, 0 => nil, -1 => nil }.each do |ahead, came_after|
      sent = card(100, came_after: came_after)
      machine = sent.customer.machines.first
      due = Models::Due.order(:id).first(machine_id: machine.id)
      first = today - 100 + ahead
      due.update(due_on: first, early_on: first, late_on: first)
      sent.update(offer_id: offer.id) if ahead > 20
    end
    card(100, attempt: 2, came_after: 1)
    returns = Services::CardReturns.new(today: today)
    counted = ->(shares) { shares.transform_values { |share| [share.hits, share.tries] } }

    assert_equal({ "three weeks ahead or more" => [1, 2], "one to three weeks ahead" => [1, 1],
      "in the last week" => [0, 1], "after the date" => [0, 1] },
      counted.call(returns.by_lead))
    assert_equal({ "nothing offered" => [2, 4], "15 minutes free" => [1, 2] }, counted.call(returns.by_offer))
  end

  # The newest card that had left before, and no card for who came by chance or too late.
  def test_which_card_brought_which_job
    first = card(100, came_after: nil)
    machine = @card.customer.machines.first
    follow_up = naming(machine, attempt: 2, at: in_days(-70))
    later = naming(machine, attempt: 3, at: in_days(-20))
    job = take_in(machine, at: in_days(-30))
    card(100, came_after: 70)

    assert_equal [[job.id, follow_up.id, 2]], Queries::JobsBrought.page.rows.map { |row| [row.id, row.card_id, row.attempt] }
    assert_equal [[], [job.number], []], [first, follow_up, later]
      .map { |one| Queries::JobsBrought.of_card(one).map { |row| row[:number] } }
    assert_empty Queries::JobsBrought.page(before: job.id).rows
  end

  # A page looks at so many jobs, however few of them a card brought.
  def test_a_page_ends_where_it_stopped_looking
    card(100, came_after: 5)
    brought = Models::Job.last
    3.times { take_in }
    page = Queries::JobsBrought.page(most: 2)

    assert_empty page.rows
    assert_equal [brought.id], Queries::JobsBrought.page(before: page.older, most: 2).rows.map(&:id)
  end

  # Another machine of the same customer, and one that came in the morning before the card left at noon.
  def test_a_card_brings_what_it_named_and_only_after_it_left
    named = new_machine
    other = new_machine("Tolliver Wick").tap { |machine| machine.update(customer_id: named.customer_id) }
    card = naming(named, at: in_days(-100))
    take_in(other, at: in_days(-90))

    assert_empty Queries::JobsBrought.of_card(card)
    job = take_in(named, at: in_days(-100) - 60)

    assert_empty Queries::JobsBrought.of_card(card)
    job.update(taken_in_at: in_days(-90))

    assert_equal [job.number], Queries::JobsBrought.of_card(card).map(&:number)
  end

  # Late in the evening it is the next day by UTC, and early in the morning it is the day before somewhere.
  def test_days_are_those_of_the_shop
    { [0, 0] => 5, [23, 59] => 5 }.each do |clock, waited|
      sent = card(100)
      take_in(sent.customer.machines.first, at: Config::Zone.at(today - 95, *clock))

      assert_equal [waited], results_of(today - 100).filter_map { |row| row[:waited] }.uniq
    end
  end

  def results_of(day)
    Services::CardResults.of(day..day)
  end

  def test_a_card_that_is_too_young_or_too_old_is_not_counted
    card(20, came_after: 5)
    card(800, came_after: 5)

    assert_empty returns
  end

  # What is kept of the days that are over says the same as the cards do.
  def test_days_that_are_over_are_counted_once
    card(100, came_after: 5)
    card(100)
    card(61, came_after: 60)
    card(60, came_after: 60)
    before = returns
    2.times { Services::CardResults.keep(today: today) }

    assert_equal([[today - 100, nil, 1], [today - 100, 5, 1], [today - 61, 60, 1]],
      DB[:card_results].order(:leaves_on, Sequel.asc(:waited, nulls: :first)).select_map(%i[leaves_on waited cards]))
    assert_equal({ ["email", 1] => [3, 4] }, before)
    assert_equal before, returns
  end

  def test_the_day_that_is_over_next_is_counted_next
    card(60, came_after: 60)
    kept = [0, 1, 2].map do |days|
      Services::CardResults.keep(today: today + days)
      DB[:card_results].sum(:cards).to_i
    end

    assert_equal [0, 1, 1], kept
  end
end
