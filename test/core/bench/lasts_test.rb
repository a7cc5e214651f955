# frozen_string_literal: true

require_relative "../../core_helper"

class LastsTest < CoreTest
  def learned(count, ratio, variance = 0.1225)
    Bench::Lasts.learned(count: count, mean: Math.log(ratio), variance: variance)
  end

  def test_without_own_times_the_sheet_counts
    nothing = learned(0, 1)

    assert_in_delta 1, nothing.factor, 1e-9
    assert_in_delta Bench::Lasts::SPREAD * Math.sqrt(1.2), nothing.spread, 1e-9
    assert_in_delta 1, Bench::Lasts.new.factor
  end

  # Twice as long each time: with five, half way in the logarithm; with very many, all of it.
  def test_own_times_move_it_as_far_as_there_are_many
    few, many = [5, 100_000].map { |count| learned(count, 2) }

    assert_in_delta Math.sqrt(2), few.factor, 0.1
    assert_in_delta 2, many.factor, 0.05
    assert_in_delta 0.35, many.spread, 0.001
  end

  def test_steady_hands_have_a_small_spread
    assert_operator learned(50, 1, 0.01).spread, :<, 0.2
    assert_operator learned(50, 1, 0.36).spread, :>, 0.5
  end

  # The variance of a log-normal time is mean² (e^s² - 1); of two with the correlation r, 2 (1 + r) times that.
  def test_pieces_together
    lasts = Bench::Lasts.new(factor: 1.5, spread: 0.4)
    pieces, spread = Bench::Lasts.together([[10, lasts], [10, lasts]])
    variance = 2 * (1 + Bench::Lasts::TOGETHER) * (15**2) * (Math.exp(0.16) - 1)

    assert_equal [15, 15], pieces
    assert_in_delta variance, (30**2) * (Math.exp(spread**2) - 1), 1e-6
    one_minute, = Bench::Lasts.together([[0.1, lasts]])

    assert_equal [1], one_minute
  end
end
