# frozen_string_literal: true

# Group: slow (plans drawn and replayed, many times)

require_relative "plan_helper"

class BenchReplayTest < CoreTest
  include PlanHelper

  def replay(*chains, **more)
    Bench::Replay.new(placed(problem(shop(**more), *chains)))
  end

  def test_without_spread_everything_happens_as_planned
    chains = [chain(1, operation(30, dry_minutes: 120), 15), chain(2, 60)]

    assert_equal [[165], [90]], replay(*chains).readies.map(&:uniq)
  end

  # The quantile of a log-normal time with the mean m and the spread s is m exp(z s - s²/2); z is 1.2816 for nine in ten
  # (any table of the normal distribution).
  def test_one_operation_ends_as_a_log_normal_time_does
    by = replay(chain(1, operation(100, spread: 0.3))).quantile(1, 0.9)

    assert_in_delta 100 * Math.exp((1.2816 * 0.3) - 0.045), by, 1
  end

  # Two log-normal times of this mean and spread in a row have the mean 80 and the variance 2 · 40² (e^0.09 - 1).
  def test_the_mean_and_the_spread_of_two_in_a_row
    ready = replay(chain(1, operation(40, spread: 0.3), operation(40, spread: 0.3))).readies.first
    mean = ready.sum.fdiv(ready.size)
    variance = ready.sum { |moment| (moment - mean)**2 }.fdiv(ready.size)

    assert_in_delta 80, mean, 1
    assert_in_delta Math.sqrt(3200 * (Math.exp(0.09) - 1)), Math.sqrt(variance), 2
  end

  def test_a_late_part_holds_up_its_own_job_and_nobody_else
    late = operation(30, not_before: 60, late_spread: 0.5)
    waiting, other = replay(chain(1, late), chain(2, 60), chain(3, 60)).readies.values_at(0, 2)

    assert_operator waiting.max, :>, 200
    assert_equal [150], other.uniq
  end

  def test_drying_never_takes_less_than_was_reckoned
    ready = replay(chain(1, operation(30, dry_minutes: 120, dry_spread: 0.5), 10)).readies.first

    assert_equal 160, ready.min
    assert_operator ready.max, :>, 160
  end

  def test_what_waits_for_the_rack_waits_in_every_draw
    rack = [Bench::Slot.new(size: 1, busy_until: 100)]

    assert_equal [100], replay(chain(1, operation(20, slots: [1])), slots: rack).readies.first.uniq
  end

  def test_how_often_a_promise_is_kept
    several = replay(chain(1, operation(100, spread: 0.3), promise: 100))
    # Below the mean lies Φ(s/2) of a log-normal time
    assert_in_delta Stats::Normal.cdf(0.15), several.share(1, 100), 0.01
    assert_equal 180.fdiv(199), several.share(1, several.quantile(1, 0.9))
  end

  # As by the shares of all draws, though it stops at the first promise that is broken too often.
  def test_what_harms_a_promise_is_found_before_all_is_carried_out
    answers = []
    for_all(times: 30) do |random|
      others = (1..6).map { |number| random_chain(random, number, promise: random.rand(200..3000)) }
      before = Bench::Standing.of(problem(shop, *others), Bench::Kept.new)
      more = problem(shop, *others, random_chain(random, 7))
      schedule = placed(more, Bench::Kept.new.order(more).partition { |step| more.steps[step].job == 6 }.flatten)
      shares = before.shares_in(Bench::Replay.new(schedule))
      answers << before.harmless?(Bench::Replay.new(schedule))

      assert_equal(shares.all? { |number, share| share >= [0.9, before.shares[number]].min }, answers.last)
    end

    assert_equal 2, answers.uniq.size
  end
end
