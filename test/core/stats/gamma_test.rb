# frozen_string_literal: true

require_relative "../../core_helper"

class GammaTest < CoreTest
  # Chi-square critical values, NIST/SEMATECH e-Handbook of Statistical Methods 1.3.6.7.4 (from memory).
  # A chi-square with k degrees of freedom is a Gamma of shape k/2 and rate 1/2.
  CHI_SQUARE = { 1 => { 0.90 => 2.706, 0.99 => 6.635 }, 4 => { 0.10 => 1.064, 0.90 => 7.779 },
                 10 => { 0.10 => 4.865, 0.90 => 15.987 }, 30 => { 0.10 => 20.599, 0.90 => 40.256 },
                 100 => { 0.10 => 82.358, 0.90 => 118.498 } }.freeze

  def test_quantiles_agree_with_the_printed_chi_square_table
    CHI_SQUARE.each do |freedom, row|
      row.each do |p, value|
        assert_in_delta value, Stats::Gamma.new(shape: freedom / 2.0, rate: 0.5).quantile(p), 0.0006
      end
    end
  end

  # A Gamma of shape 1 is the exponential distribution: closed form.
  def test_shape_one_is_exponential
    assert_in_delta 1 - Math.exp(-1.2), Stats::Gamma.new(shape: 1, rate: 2).cdf(0.6), 1e-12
  end

  # Johnson, Kotz and Balakrishnan: the mean of a Gamma is its shape over its rate.
  def test_the_mean
    assert_in_delta 1.5, Stats::Gamma.new(shape: 3, rate: 2).mean
  end

  def test_quantile_undoes_the_distribution_function
    for_all do |random|
      gamma = Stats::Gamma.new(shape: random.rand(0.1..200.0), rate: random.rand(0.1..50.0))
      p = random.rand(0.01..0.99)

      assert_in_delta p, gamma.cdf(gamma.quantile(p)), 1e-9
    end
  end

  def test_refuses_what_is_no_probability
    assert_raises(ArgumentError) { Stats::Gamma.new(shape: 1, rate: 1).quantile(1) }
    assert_raises(ArgumentError) { Stats::Gamma.new(shape: 0, rate: 1) }
  end
end
