# frozen_string_literal: true

require_relative "../../core_helper"

class RateTest < CoreTest
  def strip(hours, weeks, on: MONDAY)
    Use::Evidence.new(kind: :strip, hours: hours, weeks: weeks, read_on: on)
  end

  def test_what_was_said_counts_as_eight_weeks
    assert_in_delta 5.0, rate(5).mean
    assert_in_delta 8.0, rate(5).weeks
  end

  # Gamma(8, 8): half a chi-square of 16 degrees of freedom over 8, whose 10 and 90 % points are
  # 9.312 and 23.542 (NIST/SEMATECH e-Handbook 1.3.6.7.4, from memory).
  def test_interval_of_an_hour_a_week
    assert_in_delta 9.312 / 16, rate(1).low, 0.0001
    assert_in_delta 23.542 / 16, rate(1).high, 0.0001
  end

  # Conjugate updating by hand: (1·8 + 0.7·40) / (8 + 0.7·10) = 36 / 15.
  def test_a_strip_reading_adds_its_hours_and_weeks_by_its_weight
    updated = Use::Rate.from(stated_hours_per_week: 1, evidence: [strip(40, 10)], today: MONDAY)

    assert_in_delta 2.4, updated.mean
    refute updated.assumed
  end

  def test_old_evidence_halves_each_year_after_the_first
    assert_in_delta 0.7, strip(1, 1, on: MONDAY - 365).weight(MONDAY), 0.001
    assert_in_delta 0.35, strip(1, 1, on: MONDAY - 730).weight(MONDAY), 0.001
  end

  # Gelman et al., Bayesian Data Analysis, the Poisson model with exposure: 3 deaths in an exposure of 2.0 upon a
  # Gamma(3, 5) give a Gamma(6, 7) with mean 0.86, above 1 with probability 0.30; 30 in 20 give mean 1.32 and 0.93
  # (from memory).
  def test_the_handbooks_example_of_conjugate_updating
    { [3, 2.0] => [6 / 7.0, 0.30], [30, 20.0] => [33 / 25.0, 0.93] }.each do |(seen, exposure), (mean, above_one)|
      rate = Use::Rate.new(hours: 3 + seen, weeks: 5 + exposure)

      assert_in_delta mean, rate.mean, 1e-12
      assert_in_delta above_one, 1 - Stats::Gamma.new(shape: rate.hours, rate: rate.weeks).cdf(1), 0.005
    end
  end

  # By simulation of what it stands for: a rate drawn from the belief, then the wait for 50 events of a process of that
  # rate.
  def test_the_bounds_over_hours_to_come_hold_eight_of_ten_waits
    random = Random.new(4610)
    belief = Stats::Gamma.new(shape: 16, rate: 8)
    slow, fast = Use::Rate.new(hours: 16, weeks: 8.0).bounds_over(50)
    waits = Array.new(4000) { Stats::Gamma.new(shape: 50, rate: belief.quantile(random.rand)).quantile(random.rand) }

    assert_in_delta 0.8, waits.count { |weeks| weeks.between?(50 / fast, 50 / slow) } / 4000.0, 0.02
  end

  # Common practice: nothing said means an hour a week.
  def test_nothing_said_is_an_hour_a_week_and_marked
    assert_in_delta 1.0, rate(nil).mean
    assert rate(nil).assumed
    assert_equal %i[assumed_use known_use stored], [nil, 1, 0].map { |hours| rate(hours).reason.key }
  end

  def test_a_belief_by_itself_is_not_assumed
    refute Use::Rate.new(hours: 8, weeks: 8).assumed
    assert_equal Reason.of(:known_use, mean: 1.0, low: 0.6, high: 1.5), Use::Rate.new(hours: 8, weeks: 8).reason
    assert_equal Reason.of(:known_use, mean: 1.1, low: 0.7, high: 1.7), Use::Rate.new(hours: 8, weeks: 7).reason
  end

  def test_a_stored_machine_has_no_rate
    assert_predicate rate(0), :zero?
    assert_in_delta 0.0, rate(0).high
  end
end
