# frozen_string_literal: true

require_relative "../../core_helper"

class ForecastTest < CoreTest
  def falls(due_in, early = nil, late = nil)
    Shelf::FallsDue.new(due_in: due_in, early_in: early, late_in: late)
  end

  def forecast(dues = [], walk_ins: 0, lead: 9, review: 7, service: 0.95)
    Shelf::Forecast.new(dues: dues.map { |fall, chance, count| Shelf::Forecast::Dues.new(fall, chance, count) },
      walk_ins_a_week: walk_ins,
      lead_days: lead, review_days: review, service_level: service)
  end

  # Printed tables of the normal distribution (from memory): a tenth lies beyond 1.2816, and 0.8413 below 1.
  def test_a_date_falls_within_its_bounds_four_times_of_five
    date = falls(100, 80, 140)

    assert_in_delta 0.1, date.within(80), 1e-9
    assert_in_delta 0.5, date.within(100), 1e-9
    assert_in_delta 0.9, date.within(140), 1e-9
    assert_in_delta 0.8413, date.within((100 + (40 / 1.2816)).round(4)), 0.0001
  end

  def test_a_fixed_date_falls_on_its_day
    assert_equal [0.0, 1.0, 1.0], [9, 10, 40].map { |days| falls(10).within(days) }
    assert_equal [0.0, 1.0], [9, 10].map { |days| falls(10, 10, 10).within(days) }
  end

  # On the day itself the chance is half, also where only one side is bounded.
  def test_on_the_day_itself
    bounds = [[5, 20], [nil, 20], [5, nil]]

    assert_equal [0.5, 0.5, 1.0], bounds.map { |early, late| falls(10, early, late).within(10) }
  end

  def test_what_is_overdue_comes_within_ninety_days_or_not_at_all
    assert_in_delta 30 / 90.0, falls(0).within(30)
    assert_in_delta 10 / 90.0, falls(-80).within(30)
    assert_in_delta 0.0, falls(-200).within(30)
  end

  def test_never_less_likely_in_more_days
    for_all do |random|
      due = random.rand(-120..400)
      date = falls(due, due - random.rand(0..60), due + random.rand(0..200))
      shares = [0, 7, 30, 90, 365, 2000].map { |days| date.within(days) }

      assert_equal shares.sort, shares
      assert(shares.all? { |share| share.between?(0, 1) })
    end
  end

  # Ten fixed dates within 16 days at 0.4 each make 4, and a walk-in a week makes 16/7; together 6.2857, whose 95 %
  # level in the printed tables lies at 11 (6.2: 0.9755 at 11 and 0.9486 at 10, from memory).
  def test_demand_is_dues_times_their_chance_and_the_walk_ins
    shelf = forecast([[falls(10), 0.4, 10], [falls(17), 0.4, 50]], walk_ins: 1)

    assert_equal 16, shelf.days
    assert_in_delta 4.0, shelf.from_dues
    assert_in_delta 16 / 7.0, shelf.from_walk_ins
    assert_equal 11, shelf.level
  end

  def test_weeks_add_up_to_the_whole
    shelf = forecast([[falls(30, 10, 60), 0.5, 3], [falls(-4), 0.5, 2]], walk_ins: 0.5)

    assert_in_delta shelf.mean(91), shelf.weeks(13).flatten.sum, 1e-9
  end

  def test_nothing_asked_for_needs_nothing
    assert_equal 0, forecast.level
  end

  def order(**fields)
    Shelf::Order.new(level: 5, on_shelf: 2, **fields).pieces
  end

  def test_orders_fill_up_to_the_level_in_whole_packs
    assert_equal [3, 4, 6, 0, 0], [order, order(pack_pieces: 2), order(claimed: 3), order(on_order: 3),
                                   order(on_order: 30)]
  end

  # More is promised to jobs than lies there: ordered even where nothing else is asked for.
  def test_what_is_promised_and_not_there_is_ordered
    assert_equal 2, Shelf::Order.new(level: 0, on_shelf: 1, claimed: 3).pieces
  end

  def test_the_chance_of_coming_back_starts_at_the_usual_and_follows_what_happened
    chance = ->(cards, came) { Shelf::ReturnChance.new(cards: cards, came: came).call }

    assert_in_delta 0.4, chance.call(0, 0)
    assert_in_delta 0.25, chance.call(20, 2) # (2 + 8) / 40
    assert_in_delta 0.7, chance.call(1_000_000, 700_000), 0.001
    assert_raises(ArgumentError) { chance.call(1, 2) }
  end

  def test_the_lead_time_follows_what_arrived
    assert_equal [3, 12], [Shelf::LeadTime::STATED_WEIGHT, Shelf::LeadTime::NEWEST]
    lead = ->(*days) { Shelf::LeadTime.new(stated_days: 9, arrived_days: days).call }

    assert_equal [9, 10, 12, 9], [lead.call, lead.call(12), lead.call(15, 15, 15), lead.call(9, 9)]
    assert_equal [4, 4], [lead.call(*[2] * 12), lead.call(*[2] * 12, 90, 90)] # those before are forgotten
  end
end
