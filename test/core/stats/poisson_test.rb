# frozen_string_literal: true

require_relative "../../core_helper"

class PoissonTest < CoreTest
  # Cumulative terms as in the printed tables of statistics handbooks, four places (from memory).
  TABLE = { 0.5 => { 0 => 0.6065, 1 => 0.9098, 2 => 0.9856 },
            1 => { 0 => 0.3679, 1 => 0.7358, 2 => 0.9197, 3 => 0.9810 },
            2 => { 0 => 0.1353, 2 => 0.6767, 4 => 0.9473, 5 => 0.9834 },
            5 => { 0 => 0.0067, 5 => 0.6160, 8 => 0.9319, 9 => 0.9682 },
            10 => { 10 => 0.5830, 14 => 0.9165, 15 => 0.9513 }, 20 => { 20 => 0.5591, 27 => 0.9475, 28 => 0.9657 } }
    .freeze

  def poisson(mean)
    Stats::Poisson.new(mean: mean)
  end

  def test_against_the_printed_tables
    TABLE.each do |mean, row|
      row.each { |count, share| assert_in_delta share, poisson(mean).cdf(count), 0.00005, "mean #{mean}, #{count}" }
    end
  end

  # The smallest count whose cumulative term in the same tables reaches 0.95.
  def test_levels_at_95_percent
    assert_equal([2, 3, 5, 9, 15, 28], [0.5, 1, 2, 5, 10, 20].map { |mean| poisson(mean).quantile(0.95) })
  end

  def test_nothing_expected_needs_nothing
    assert_equal [0, 1.0, 0.0], [poisson(0).quantile(0.999), poisson(0).cdf(0), poisson(0).cdf(-1)]
    assert_equal 0, poisson(3).quantile(0)
  end

  # Terms add up to the sum, also where e^-mean is no float any more; the quantile is the first count that reaches it.
  def test_terms_sums_and_quantiles_agree
    for_all(times: 60) do |random|
      mean = [random.rand * 3, random.rand * 60, 1500.0].sample(random: random)
      one = poisson(mean)
      wanted = random.rand(0.5..0.999)
      count = one.quantile(wanted)

      assert_operator one.cdf(count), :>=, wanted
      assert_operator one.cdf(count - 1), :<, wanted
      assert_in_delta (0..count).sum { |k| Math.exp((k * Math.log(mean)) - mean - Math.lgamma(k + 1).first) },
        one.cdf(count), 1e-8
    end
  end

  def test_no_probability
    [-0.1, 1, 2].each { |probability| assert_raises(ArgumentError) { poisson(1).quantile(probability) } }
    assert_raises(ArgumentError) { poisson(-1) }
  end

  # By its definition, out in the lower tail too, where the search has to come down.
  def test_the_quantile_is_the_smallest_count_that_holds
    [1e-7, 1e-5, 0.001, 0.5, 0.999].product([0.3, 4, 30, 100]).each do |probability, mean|
      poisson = Stats::Poisson.new(mean: mean)
      count = poisson.quantile(probability)

      assert_operator poisson.cdf(count), :>=, probability
      assert_operator poisson.cdf(count - 1), :<, probability
    end
  end
end
