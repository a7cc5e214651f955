# frozen_string_literal: true

# Group: slow (a simulation)

require_relative "../core_helper"

# A shelf whose demand and deliveries are drawn at random: does the level hold as often as it says, and is as much asked
# for as was expected?
class ShelfSimulation < CoreTest
  SEED = 2711
  CYCLES = Integer(ENV.fetch("CYCLES", "20000"))
  A_DAY = 0.5
  REVIEW_DAYS = 7

  def setup
    @random = Random.new(SEED)
  end

  # What is ordered up to at a review must last until the order of the next one has come.
  def test_a_level_holds_as_often_as_is_computed_for_it
    [[9, 4], [21, 10]].each do |lead, spread|
      demand = Shelf::LeadDemand.new(in_lead: A_DAY * lead, in_review: A_DAY * REVIEW_DAYS, lead_days: lead,
        lead_spread_days: spread)
      level = demand.quantile(0.95)
      held = Array.new(CYCLES) { asked_for(REVIEW_DAYS + gamma(lead, spread)) }.count { |asked| asked <= level }

      assert_in_delta demand.cdf(level), held / CYCLES.to_f, 0.01, "#{lead} days give or take #{spread}"
    end
  end

  # Two years of a shop whose customers answer as they do: every week the next sixteen days are forecast.
  def test_as_much_is_asked_for_as_was_expected
    world = World.new(@random)
    weeks = (World::WARM_UP...(World::WARM_UP + 730)).step(7).to_a
    expected = weeks.sum do |day|
      world.live_until(day)
      world.expected(day, 16)
    end
    world.live_until(weeks.last + 16)
    asked = weeks.sum { |day| world.came_between(day, day + 16) }

    assert_in_delta 1.0, expected / asked.to_f, 0.05, "#{expected.round} expected, #{asked.round} came"
  end

  # Somebody's filter falls due every year; a card leaves ahead, and two more follow; each brings them with some chance,
  # after some days; what is not done by then is written about again the year after.
  class World
    Shelf = UprightBench::Core::Shelf
    WARM_UP = 400
    CUSTOMERS = 1500
    LEAD = 10
    GAP = 30
    CARDS = 3
    TRUE_CHANCE = 0.3
    MEDIAN_DAYS = 16
    SCATTER = 0.8
    Someone = Struct.new(:due, :cards, :comes)

    def initialize(random)
      @random = random
      @everybody = Array.new(CUSTOMERS) { Someone.new(@random.rand(1..365), [], nil) }
      @came = []
      @answers = []
      @day = 0
    end

    def live_until(day)
      while @day < day
        @day += 1
        @everybody.each { |someone| live(someone) }
      end
    end

    def came_between(from, till)
      @came.count { |day| day > from && day <= till }
    end

    # As the shop sees it on a day: what was sent by then, and what came of it.
    def expected(day, days)
      answers = learned(day)
      @everybody.sum { |someone| comes(someone, day, answers)&.within(days) || 0 }
    end

    private

    def live(someone)
      write(someone) if writes?(someone)
      return unless someone.comes == @day

      @came << @day
      someone.due = @day + 365
      someone.cards = []
      someone.comes = nil
    end

    def writes?(someone)
      return @day >= someone.due - LEAD if someone.cards.empty?

      someone.cards.size < CARDS ? @day >= someone.cards.last + GAP : start_anew(someone)
    end

    def start_anew(someone)
      return false if @day < someone.due + 365 - LEAD

      someone.due += 365
      someone.cards = []
      true
    end

    def write(someone)
      someone.cards << @day
      brought = @random.rand < TRUE_CHANCE
      after = brought ? (MEDIAN_DAYS * Math.exp(SCATTER * normal)).ceil.clamp(1, 90) : nil
      @answers << [@day, after]
      someone.comes = [someone.comes, after && (@day + after)].compact.min
    end

    def learned(day)
      old = @answers.select { |sent, _| sent <= day - 90 }
      waits = old.filter_map(&:last)
      steps = Shelf::AnswerDays::STEPS
      counts = [0, *steps].each_cons(2).map { |from, till| waits.count { |wait| wait > from && wait <= till } }
      [Shelf::ReturnChance.new(cards: old.size, came: waits.size).call, Shelf::AnswerDays.new(counts: counts)]
    end

    # @return [Shelf::ComesBack, nil] nil for whom nothing is written about yet
    def comes(someone, day, learned)
      chance, answers = learned
      sent = someone.cards.last
      card_in = sent ? sent - day : [someone.due - LEAD - day, 0].max
      follow_up = [card_in + GAP, 0].max if someone.cards.size < CARDS
      earlier = someone.cards[0...-1].map { |card| card - day }
      Shelf::ComesBack.new(card_in: card_in, earlier_in: earlier, chance: chance, answers: answers,
        follow_up_in: follow_up)
    end

    def normal
      Math.sqrt(-2 * Math.log(1 - @random.rand)) * Math.cos(2 * Math::PI * @random.rand)
    end
  end

  private

  # Poisson by the waits between events.
  def asked_for(days)
    count = -1
    time = 0.0
    while time <= days
      time += -Math.log(1 - @random.rand) / A_DAY
      count += 1
    end
    count
  end

  # Marsaglia and Tsang (2000), "A simple method for generating gamma variables".
  def gamma(mean, spread)
    shape = (mean / spread.to_f)**2
    d = shape - (1 / 3.0)
    loop do
      x = Math.sqrt(-2 * Math.log(1 - @random.rand)) * Math.cos(2 * Math::PI * @random.rand)
      v = (1 + (x / Math.sqrt(9 * d)))**3
      next unless v.positive? && Math.log(1 - @random.rand) < (x * x / 2) + (d * (1 - v + Math.log(v)))

      return d * v * mean / shape
    end
  end
end
