# frozen_string_literal: true

require_relative "plan_helper"

class PromisableTest < CoreTest
  include PlanHelper

  SPARE = Bench::ToSpare::MINUTES

  def by(readies, least: 0.9, **more)
    Bench::Promisable.new(readies, least: least, shop: shop(**more)).by
  end

  # Equally likely shares of a log-normal time.
  def lognormal(mean, spread)
    Bench::Draws::SCORES.map { |score| mean * Math.exp((spread * score) - ((spread**2) / 2)) }.map(&:round)
  end

  # Where an hour later keeps exactly one more of a hundred, the log-normal density is one hundredth an hour (the
  # derivative of its distribution, in any textbook).
  def test_it_is_later_until_being_later_is_not_worth_it
    [5, 10, 15].each do |worth|
      least, most = [0.9, 0.995].map { |share| Stats::Normal.quantile(share) }
      score = (0..2000).map { |step| least + ((most - least) * step / 2000.0) }
        .find { |at| density(at, 100, 0.3) <= 0.01 / worth }

      assert_in_delta minutes_at(score, 100, 0.3) + SPARE, by(lognormal(100, 0.3), minutes_for_one_more: worth), 4
    end
  end

  def minutes_at(score, mean, spread)
    mean * Math.exp((spread * score) - ((spread**2) / 2))
  end

  def density(score, mean, spread)
    Math.exp(-(score**2) / 2) / Math.sqrt(2 * Math::PI) / (spread * minutes_at(score, mean, spread))
  end

  def test_what_is_hardly_surer_later_is_promised_as_surely_as_wanted_and_no_more
    days = Array.new(Bench::Draws::COUNT) { |place| (place * 60) + 30 }.map { |minute| calendar.done(0, minute, true) }

    assert_equal days.sort[179] + SPARE, by(days)
  end

  def test_it_is_not_put_off_for_nothing
    assert_equal [60 + SPARE] * 2, [0, 240].map { |worth| by([60] * 199, minutes_for_one_more: worth) }
  end

  # The shop closes at 540: what is ready in the morning in two draws of a hundred is promised for the evening.
  def test_a_night_is_too_long_for_little
    readies = ([300] * 195) + ([1440 + 30] * 4)

    assert_equal 300 + SPARE, by(readies)
    assert_equal 1440 + 30 + SPARE, by(([300] * 160) + ([1440 + 30] * 39))
  end

  def test_its_share_is_that_of_all_draws_that_are_in_time
    exact = shop(minutes_for_one_more: 0)
    answer = Bench::TakeIn.new(shop: exact, chains: [], chain: chain(1, operation(60, spread: 0.4))).call

    assert_includes 0.9..0.97, answer.share
    assert_in_delta Bench::Replay.new(answer.schedule).share(1, answer.by), answer.share
  end
end
