# frozen_string_literal: true

require_relative "../../core_helper"

class ForecastTest < CoreTest
  # Somebody who comes on the day of their card, if at all: what is then left is the card's own day.
  class OnTheDay
    def within(days)
      days.negative? ? 0.0 : 1.0
    end
  end

  def comes(card_in, chance, **more)
    Shelf::ComesBack.new(card_in: card_in, chance: chance, answers: Shelf::AnswerDays.new, **more)
  end

  def at_once(card_in, chance)
    Shelf::ComesBack.new(card_in: card_in, chance: chance, answers: OnTheDay.new)
  end

  def forecast(dues = [], walk_ins: 0, lead: 9, spread: 0, review: 7, service: 0.95)
    Shelf::Forecast.new(dues: dues.map { |comes, count| Shelf::Forecast::Dues.new(comes, count) },
      walk_ins_a_week: walk_ins, lead_days: lead, lead_spread_days: spread, review_days: review,
      service_level: service)
  end

  # House rule: of those who come, a fifth within the week, two thirds within four, all within ninety days.
  def test_how_long_those_who_come_wait
    assert_equal [0.0, 0.1, 0.2, 0.4, 0.65, 0.9, 1.0, 1.0],
      [0, 3.5, 7, 14, 28, 56, 90, 400].map { |days| Shelf::AnswerDays.new.within(days).round(9) }
    learned = Shelf::AnswerDays.new(counts: [80, 0, 0, 0, 0]) # (80 + 4) / 100 within the week

    assert_in_delta 0.84, learned.within(7)
    assert_raises(ArgumentError) { Shelf::AnswerDays.new(counts: [1, 2]) }
    assert_raises(ArgumentError) { Shelf::AnswerDays.new(counts: [1, 2, 3, 4, -5]) }
  end

  # P(comes by then | has not come yet): 0.4 x (F(b) - F(a)) / (1 - 0.4 x F(a)).
  def test_who_has_not_come_yet_is_the_less_likely_to
    assert_in_delta 0.4 * 0.65, comes(0, 0.4).within(28)
    assert_in_delta 0.4 * 0.4, comes(14, 0.4).within(28)
    assert_in_delta 0.0, comes(30, 0.4).within(28)
    assert_in_delta 0.4 * 0.25 / (1 - (0.4 * 0.65)), comes(-28, 0.4).within(28)
    assert_in_delta 0.0, comes(-90, 0.4).within(28)
  end

  def test_a_card_before_may_still_bring_them
    left = ->(from, till) { (1 - (0.4 * till)) / (1 - (0.4 * from)) } # who stayed away so far, and goes on to

    assert_in_delta 1 - (left.call(0.0, 0.65) * left.call(0.65, 0.9)), comes(0, 0.4, earlier_in: [-28]).within(28)
  end

  def test_a_follow_up_is_another_chance
    assert_in_delta 1 - ((1 - (0.4 * 0.65)) * (1 - (0.4 * 0.2))), comes(0, 0.4, follow_up_in: 21).within(28)
    assert_in_delta 0.4 * 0.2, comes(-200, 0.4, follow_up_in: 0).within(7)
  end

  def test_never_less_likely_in_more_days
    for_all do |random|
      who = comes(random.rand(-120..120), random.rand, follow_up_in: [nil, random.rand(0..60)].sample(random: random))
      shares = [0, 7, 30, 90, 365].map { |days| who.within(days) }

      assert_equal shares.sort, shares
      assert(shares.all? { |share| share.between?(0, 1) })
    end
  end

  # Ten cards within 16 days at 0.4 each make 4, and a walk-in a week makes 16/7; together 6.2857, whose 95 %
  # level in the printed tables lies at 11 (6.2: 0.9755 at 11 and 0.9486 at 10, from memory).
  def test_demand_is_dues_times_their_chance_and_the_walk_ins
    shelf = forecast([[at_once(10, 0.4), 10], [at_once(17, 0.4), 50]], walk_ins: 1)

    assert_equal 16, shelf.days
    assert_in_delta 4.0, shelf.from_dues
    assert_in_delta 16 / 7.0, shelf.from_walk_ins
    assert_equal 11, shelf.level
  end

  def test_weeks_add_up_to_the_whole
    shelf = forecast([[comes(30, 0.5), 3], [comes(-4, 0.5), 2]], walk_ins: 0.5)

    assert_in_delta shelf.mean(91), shelf.weeks(13).flatten.sum, 1e-9
  end

  # Half a piece a day, a lead of 9 days give or take 4, a review of 7: thirteen are enough for Poisson alone, and hold
  # 93.1 % where the lead time scatters; fourteen hold 95.6 %.
  def test_lead_times_scatter
    demand = Shelf::LeadDemand.new(in_lead: 4.5, in_review: 3.5, lead_days: 9, lead_spread_days: 4)

    assert_equal [13, 14], [0, 4].map { |spread| forecast(walk_ins: 3.5, spread: spread).level }
    assert_equal [93.1, 95.6], [13, 14].map { |pieces| (demand.cdf(pieces) * 100).round(1) }
    assert_in_delta 0.0, demand.cdf(-1)
  end

  # Term by term, from the definition: a negative binomial and a Poisson that are added.
  def test_the_sum_of_both
    demand = Shelf::LeadDemand.new(in_lead: 6.0, in_review: 2.0, lead_days: 21, lead_spread_days: 10)
    shape = (21 / 10.0)**2
    lead = ->(n) { Stats::NegativeBinomial.new(shape: shape, mean: 6.0).then { |nb| nb.cdf(n) - nb.cdf(n - 1) } }
    review = ->(n) { Stats::Poisson.new(mean: 2.0).cdf(n) }

    [0, 3, 8, 20].each do |pieces|
      assert_in_delta (0..pieces).sum { |n| lead.call(n) * review.call(pieces - n) }, demand.cdf(pieces), 1e-9
    end
    assert_operator demand.cdf(demand.quantile(0.95)), :>=, 0.95
    assert_operator demand.cdf(demand.quantile(0.95) - 1), :<, 0.95
  end

  # Beyond a few hundred the sum is taken as one negative binomial: next to the border both say the same.
  def test_large_demand_goes_on_smoothly
    levels = [298, 302].map do |mean|
      Shelf::LeadDemand.new(in_lead: mean * 0.6, in_review: mean * 0.4, lead_days: 9, lead_spread_days: 4)
        .quantile(0.95)
    end

    assert_in_delta levels.first, levels.last, 8
  end

  # A chance of one leaves nobody who has not come, and no number is large enough for all that may be asked for.
  def test_certainty_is_no_chance
    [1, 1.0, -0.1].each do |chance|
      assert_raises(ArgumentError, chance) { comes(0, chance) }
      assert_raises(ArgumentError, chance) do
        Shelf::LeadDemand.new(in_lead: 3, in_review: 2, lead_days: 9, lead_spread_days: 4).quantile(chance)
      end
    end
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
    assert_in_delta 0.4, Shelf::ReturnChance.new.call
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

  # The stated days scatter by a third of themselves until something arrived (house rule).
  def test_the_spread_follows_what_arrived
    spread = ->(*days) { Shelf::LeadTime.new(stated_days: 10, arrived_days: days).spread }

    assert_in_delta 3.0, spread.call
    assert_in_delta Math.sqrt(27 / 6.0), spread.call(10, 10, 10) # three times nine over six
    assert_operator spread.call(5, 15, 5, 15), :>, 3
    # What arrived takes the mean to 15: (3 x (9 + 25) + 3 x 25) / 6.
    assert_in_delta Math.sqrt(177 / 6.0), spread.call(20, 20, 20)
  end
end
