# frozen_string_literal: true

require_relative "../../core_helper"

class DrawsTest < CoreTest
  # Abramowitz & Stegun, Handbook of Mathematical Functions, table 26.1 (P(x)) and table 26.5 (x of Q).
  def test_the_normal_distribution_against_the_printed_tables
    { 0.0 => 0.5, 1.0 => 0.841344746, 1.96 => 0.975002105, 3.0 => 0.998650102 }.each do |x, probability|
      assert_in_delta probability, Stats::Normal.cdf(x), 1e-9
      assert_in_delta 1 - probability, Stats::Normal.cdf(-x), 1e-9
    end
    { 0.9 => 1.2815516, 0.95 => 1.6448536, 0.975 => 1.9599640, 0.999 => 3.0902323, 0.1 => -1.2815516 }
      .each { |probability, x| assert_in_delta x, Stats::Normal.quantile(probability), 1e-7 }
    assert_raises(ArgumentError) { Stats::Normal.quantile(1) }
  end

  def test_each_share_of_the_distribution_occurs_once
    order = Bench::Draws.usual.order(3)

    assert_equal (0...Bench::Draws::COUNT).to_a, order.sort
    assert_in_delta 0, Bench::Draws::SCORES.sum, 1e-9
    assert_equal Bench::Draws::COUNT, Bench::Draws::SCORES.uniq.size
  end

  def test_operations_are_drawn_apart_and_the_same_each_time
    one, other = [3, 4].map { |key| Bench::Draws.usual.order(key).map { |share| Bench::Draws::SCORES[share] } }
    together = one.zip(other).sum { |a, b| a * b } / one.sum { |a| a * a }

    assert_in_delta 0, together, 0.2
    assert_equal Bench::Draws.usual.order(3), Bench::Draws.new(1).order(3)
    refute_equal Bench::Draws.usual.order(3), Bench::Draws.new(2).order(3)
  end

  def test_numbers_stay_below_and_cover_all
    numbers = Bench::Numbers.new(9)
    drawn = Array.new(6000) { numbers.below(6) }

    assert_equal (0..5).to_a, drawn.uniq.sort
    # The chi-square of 6,000 throws of a fair die, 5 degrees of freedom: above 20.5 in one of a thousand (A&S, table
    # 26.8)
    assert_operator drawn.tally.values.sum { |count| ((count - 1000)**2) / 1000.0 }, :<, 20.5
  end
end
