# frozen_string_literal: true

require_relative "../../core_helper"

class RateTest < CoreTest
  def strip(hours, weeks, on: MONDAY, **more)
    Use::Evidence.new(kind: :strip, hours: hours, weeks: weeks, read_on: on, **more)
  end

  # A log-normal scatter of 0.35 has the mean exp(0.35^2 / 2) = 1.063 of its middle.
  def test_what_was_said_is_a_belief_of_shape_eight_whatever_the_figure
    [0.5, 1, 2, 5].each do |stated|
      assert_in_delta stated * 1.06, rate(stated).mean
      assert_in_delta 8.0, rate(stated).hours
    end
  end

  # Gamma(8, 8 / 1.06): half a chi-square of 16 degrees of freedom over 8 / 1.06; its 10 and 90 % points are 9.312 and
  # 23.542 (NIST/SEMATECH e-Handbook 1.3.6.7.4, from memory).
  def test_interval_of_an_hour_a_week
    assert_in_delta 9.312 / 16 * 1.06, rate(1).low, 0.0001
    assert_in_delta 23.542 / 16 * 1.06, rate(1).high, 0.0001
  end

  # Conjugate updating by hand: (8 + 0.7·40) / (8 / 1.06 + 0.7·10).
  def test_a_strip_reading_adds_its_hours_and_weeks_by_its_weight
    updated = Use::Rate.from(stated_hours_per_week: 1, evidence: [strip(40, 10)], today: MONDAY)

    assert_in_delta 36 / ((8 / 1.06) + 7), updated.mean
    refute updated.assumed
  end

  # By numerical integration of the censored likelihood over the belief (Klein and Moeschberger on censored data): a
  # belief Gamma(8, 8), at least 50 h within 40 weeks: 1.441 ± 0.278. Read exactly it would be 1.21 ± 0.16.
  def test_a_strip_that_is_full_says_at_least
    shape, weeks = Use::AtLeast.learn(8.0, 8.0, 50, 40)

    assert_in_delta 1.441, shape / weeks, 0.0005
    assert_in_delta 0.278, Math.sqrt(shape) / weeks, 0.0005
    assert_in_delta 1.208, 58 / 48.0, 0.001
  end

  def test_a_full_strip_never_slows_the_belief_and_says_little_when_it_was_expected
    for_all(times: 60) do |random|
      shape = random.rand(2.0..60.0)
      weeks = random.rand(2.0..60.0)
      learned = Use::AtLeast.learn(shape, weeks, random.rand(1.0..100.0), random.rand(1.0..150.0))

      assert_operator learned.first / learned.last, :>=, (shape / weeks) - 1e-9
    end
    shape, weeks = Use::AtLeast.learn(80.0, 8.0, 1, 100) # ten hours a week: one in two years was certain

    assert_in_delta 10.0, shape / weeks, 1e-6
  end

  # "It is never used", and the strip is full.
  def test_a_full_strip_of_a_machine_that_was_said_not_to_run
    full = strip(50, 40, at_least: true)
    told = [0, nil].map { |stated| Use::Rate.from(stated_hours_per_week: stated, evidence: [full], today: MONDAY) }

    told.each { |use| assert_operator use.mean, :>, 0.5 }
    nothing_read = Use::Rate.from(stated_hours_per_week: nil, evidence: [strip(0, 10), full], today: MONDAY)

    assert_operator nothing_read.mean, :>, 0.5
  end

  def test_what_could_not_be_is_believed_all_the_same
    assert_equal [108.0, 12.0], Use::AtLeast.learn(8.0, 8.0, 100, 4).map { |figure| figure.round(9) }
  end

  # The bag's strip was read after 20 weeks and again after 40: they overlap, and the first says nothing more.
  def test_of_one_strip_only_the_newest_reading_counts
    twice = [strip(20, 20, on: MONDAY - 140, source: "bag"), strip(50, 40, source: "bag")]
    other = strip(50, 40, source: "cassette")

    assert_equal [twice.last], Use::Evidence.newest_of_each(twice)
    assert_equal 2, Use::Evidence.newest_of_each([twice.last, other]).size
    assert_equal 2, Use::Evidence.newest_of_each([strip(20, 20), strip(20, 20)]).size, "nobody knows what was read"
    assert_equal 2, Use::Evidence.newest_of_each([strip(9, 10, on: MONDAY - 80, source: "bag"),
                                                  strip(9, 10, source: "bag")]).size, "a new bag since"
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
  def test_the_bounds_of_the_wait_hold_eight_of_ten_a_tenth_on_each_side
    random = Random.new(4610)
    belief = Stats::Gamma.new(shape: 16, rate: 8)
    soon, late = Use::Rate.new(hours: 16, weeks: 8.0).weeks_until(50)
    waits = Array.new(2000) { Stats::Gamma.new(shape: 50, rate: belief.quantile(random.rand)).quantile(random.rand) }

    assert_in_delta 0.1, waits.count { |weeks| weeks < soon } / 2000.0, 0.02
    assert_in_delta 0.1, waits.count { |weeks| weeks > late } / 2000.0, 0.02
  end

  # Against the Beta distribution itself.
  def test_the_bounds_are_within_six_in_a_thousand_of_the_exact_ones
    [0.2, 1, 1.99, 2, 3, 8, 50, 2000].product([3.0, 8.0, 25.0, 150.0]) do |to_come, shape|
      wait = Use::Wait.new(hours: shape, weeks: 10.0, to_come: to_come)

      wait.exact.zip(wait.bounds) { |exact, near| assert_in_epsilon exact, near, 0.006, "#{to_come} h, #{shape}" }
    end
  end

  # Common practice: nothing said means an hour a week.
  def test_nothing_said_is_an_hour_a_week_and_marked
    assert_in_delta 1.06, rate(nil).mean
    assert rate(nil).assumed
    assert_equal %i[assumed_use known_use stored], [nil, 1, 0].map { |hours| rate(hours).reason.key }
  end

  def test_a_belief_by_itself_is_not_assumed
    refute Use::Rate.new(hours: 8, weeks: 8).assumed
    assert_equal Reason.of(:known_use, mean: 1.0, low: 0.6, high: 1.5), Use::Rate.new(hours: 8, weeks: 8).reason
    assert_equal Reason.of(:known_use, mean: 1.1, low: 0.7, high: 1.7), Use::Rate.new(hours: 8, weeks: 7).reason
  end

  def test_a_wait_needs_a_belief_and_hours_to_come
    belief = { hours: 8.0, weeks: 8.0, to_come: 50.0 }

    belief.each_key { |field| assert_raises(ArgumentError, field.to_s) { Use::Wait.new(**belief, field => 0.0) } }
  end

  def test_a_stored_machine_has_no_rate
    assert_predicate rate(0), :zero?
    assert_in_delta 0.0, rate(0).high
    assert_nil rate(0).weeks_until(50)
  end
end
