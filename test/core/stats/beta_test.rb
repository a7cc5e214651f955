# frozen_string_literal: true

require_relative "../../core_helper"

class BetaTest < CoreTest
  # Upper 10 % points of the F distribution, NIST/SEMATECH e-Handbook of Statistical Methods 1.3.6.7.3 (from memory).
  # With F of m and n degrees, mF / (mF + n) is a Beta of m/2 and n/2.
  F_TEN_PERCENT = { [1, 1] => 39.863, [5, 10] => 2.522, [10, 10] => 2.323, [10, 20] => 1.937, [20, 20] => 1.794 }.freeze

  def test_quantiles_agree_with_the_printed_f_table
    F_TEN_PERCENT.each do |(m, n), value|
      x = Stats::Beta.new(a: m / 2.0, b: n / 2.0).quantile(0.9)

      assert_in_delta value, x * n / ((1 - x) * m), 0.0011, "#{m}, #{n}"
    end
  end

  # Closed forms: with one shape 1 it is a power; a Beta of two halves is the arcsine law.
  def test_closed_forms
    assert_in_delta 0.3**2.5, Stats::Beta.new(a: 2.5, b: 1).cdf(0.3), 1e-12
    assert_in_delta 1 - (0.7**4), Stats::Beta.new(a: 1, b: 4).cdf(0.3), 1e-12
    assert_in_delta 2 / Math::PI * Math.asin(Math.sqrt(0.2)), Stats::Beta.new(a: 0.5, b: 0.5).cdf(0.2), 1e-12
    assert_equal [0.0, 1.0], [0, 1].map { |x| Stats::Beta.new(a: 2, b: 3).cdf(x) }
  end

  def test_the_quantile_undoes_the_distribution_function
    for_all(times: 20) do |random|
      beta = Stats::Beta.new(a: random.rand(0.2..300.0), b: random.rand(0.2..300.0))
      p = random.rand(0.01..0.99)

      assert_in_delta p, beta.cdf(beta.quantile(p)), 1e-9
    end
  end

  # Counts of a Poisson whose rate is a Gamma, term by term (Johnson, Kemp and Kotz).
  def test_negative_binomial_against_the_sum_of_its_terms
    for_all(times: 20) do |random|
      shape = random.rand(0.5..60.0)
      mean = random.rand(0.1..80.0)
      count = random.rand(0..120)
      p = shape / (shape + mean)
      sum = (0..count).sum do |k|
        Math.exp(Math.lgamma(shape + k).first - Math.lgamma(shape).first - Math.lgamma(k + 1).first +
          (shape * Math.log(p)) + (k * Math.log(1 - p)))
      end

      assert_in_delta sum, Stats::NegativeBinomial.new(shape: shape, mean: mean).cdf(count), 1e-9
    end
  end

  def test_nothing_comes_of_nothing
    none = Stats::NegativeBinomial.new(shape: 2, mean: 0)

    assert_equal [1.0, 0.0, 1.0], [none.at_least(0), none.at_least(1), none.cdf(0)]
    assert_raises(ArgumentError) { none.with(shape: 0) }
    assert_raises(ArgumentError) { Stats::Beta.new(a: 0, b: 1) }
    assert_raises(ArgumentError) { Stats::Beta.new(a: 1, b: 1).quantile(1) }
  end
end
