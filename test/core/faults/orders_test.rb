# frozen_string_literal: true

# Group: slow (every order of looks)

require_relative "../../core_helper"

class FaultOrdersTest < CoreTest
  include UprightBench::Core::Faults

  def check_of(key, minutes, shows, **more)
    Check.new(key: key, place: key, name: key, act: "look", sign: "seen", minutes: minutes, shows: shows, **more)
  end

  def proving(key, minutes, seen = 1.0, **more)
    check_of(key, minutes, { key => seen }, **more)
  end

  EXAMPLE = { "wand" => 0.2, "hose" => 0.3, "seal" => 0.2, "motor" => 0.3 }.freeze

  def example
    [proving("wand", 3), proving("hose", 4), proving("seal", 5), proving("motor", 10)]
  end

  # By hand: hose 4, then wand 0.7 · 3, seal 0.5 · 5, motor 0.3 · 10.
  def test_the_worked_example
    order = ExactOrder.new(EXAMPLE, example, {})

    assert_in_delta 11.6, order.minutes
    assert_equal "hose", order.first_steps.first.first.key
    assert_in_delta 11.6, GreedyOrder.new(EXAMPLE, example, {}).minutes
    split = check_of("inlet", 1, { "motor" => 0.0 }, splits: true, otherwise: 1.0)

    assert_in_delta 9.0, ExactOrder.new(EXAMPLE, example + [split], {}).minutes
    assert_equal "inlet", ExactOrder.new(EXAMPLE, example + [split], {}).first_steps.first.first.key
  end

  # Smith's rule of 1956 (weighted completion times: largest weight over time first; Bellman and Stone for search): jobs
  # of 3, 5 and 2 with weights 6, 5 and 8 go 2, 3, 5 and cost 8·2 + 6·5 + 5·10 = 96.
  def test_the_ratio_rule
    weights = { "a" => 6.0, "b" => 5.0, "c" => 8.0 }
    checks = [proving("a", 3), proving("b", 5), proving("c", 2)]
    order = ExactOrder.new(weights, checks, {})

    assert_in_delta 96.0, order.minutes
    assert_equal "c", order.first_steps.first.first.key
    assert_equal %w[c a b], GreedyOrder.new(weights, checks, {}).order.map(&:key)
  end

  # Blackwell's discrete search: with detection that fails, next is the largest p·q/c (each box once here).
  def test_imperfect_detection
    for_all(times: 60) do |random|
      checks, belief = boxes(random, 5)
      first = ExactOrder.new(belief, checks, {}).first_steps.first.first
      ratio = ->(check) { belief.fetch(check.key) * check.shows.fetch(check.key) / check.minutes }

      assert_in_delta checks.map(&ratio).max, ratio.call(first), 1e-9
    end
  end

  def boxes(random, count)
    checks = Array.new(count) { |n| proving("c#{n}", 1 + (random.rand * 5), 0.5 + (random.rand / 2)) }
    shares = checks.to_h { |check| [check.key, random.rand] }
    [checks, shares.merge(nil => 0.1).transform_values { |share| share / (shares.each_value.sum + 0.1) }]
  end

  OPENINGS = { "bin" => 1.5, "lid" => 3.0, "cone" => 2.0 }.freeze

  # What an order costs, from the definition.
  def cost(order, belief, openings)
    made = []
    left = belief.dup
    order.sum do |check|
      minutes = check.minutes + (check.needs - made).sum { |key| openings.fetch(key) }
      made |= check.needs
      (left.each_value.sum * minutes).tap do
        left = left.to_h { |cause, share| [cause, share * (1 - check.shows.fetch(cause, 0.0))] }
      end
    end
  end

  # Six checks, of which some show two causes and some share what has to come off: all 720 orders.
  def test_against_every_order_that_there_is
    for_all(times: 6) do |random|
      checks, belief = with_openings(random, 6)
      every = checks.permutation.map { |order| cost(order, belief, OPENINGS) }
      exact = ExactOrder.new(belief, checks, OPENINGS)

      assert_in_delta every.min, exact.minutes, 1e-9
      assert_in_delta every.min, exact.first_steps.first.last, 1e-9
      greedy = GreedyOrder.new(belief, checks, OPENINGS)

      assert_in_delta cost(greedy.order, belief, OPENINGS), greedy.minutes, 1e-9
      assert_operator greedy.minutes, :<=, every.min * 1.15
    end
  end

  def with_openings(random, count)
    keys = Array.new(count) { |n| "c#{n}" }
    checks = keys.map do |key|
      shows = { key => 0.6 + (random.rand * 0.4) }
      shows[keys.sample(random: random)] = 0.5 if random.rand < 0.4
      check_of(key, 1 + (random.rand * 5), shows, needs: OPENINGS.keys.sample(random.rand(3), random: random))
    end
    shares = keys.to_h { |key| [key, random.rand] }
    [checks, shares.merge(nil => 0.1).transform_values { |share| share / (shares.each_value.sum + 0.1) }]
  end

  # The best policy with a split, from its definition: whatever comes next, then the best of what is left.
  def policy(belief, checks, openings)
    return 0.0 if checks.all?(&:splits) # there is nothing left to prove

    checks.map do |check|
      paid = belief.each_value.sum * (check.minutes + check.needs.sum { |key| openings.fetch(key, 0) })
      left = checks - [check]
      closed = openings.except(*check.needs)
      missed = belief.to_h { |cause, share| [cause, share * (1 - check.likelihood(cause))] }
      seen = belief.to_h { |cause, share| [cause, share * check.likelihood(cause)] }
      paid + policy(missed, left, closed) + (check.splits ? policy(seen, left, closed) : 0)
    end.min
  end

  def test_splits_against_every_policy
    for_all(times: 6) do |random|
      checks, belief = with_openings(random, 4)
      splits = Array.new(2) do |n|
        check_of("s#{n}", 0.5 + random.rand, { "c#{n}" => 0.9, "c#{n + 1}" => 0.8 }, splits: true, otherwise: 0.1,
          needs: OPENINGS.keys.sample(random.rand(2), random: random))
      end

      assert_in_delta policy(belief, checks + splits, OPENINGS),
        ExactOrder.new(belief, checks + splits, OPENINGS).minutes, 1e-9
    end
  end

  def test_how_many_it_can_do
    many = Array.new(14) { |n| proving("c#{n}", 1) }
    split = check_of("s", 1, { "c0" => 0.0 }, splits: true)

    assert ExactOrder.can?(many)
    refute ExactOrder.can?([*many, proving("more", 1)])
    refute ExactOrder.can?([*many.first(10), split])
    assert ExactOrder.can?([*many.first(9), split])
    refute ExactOrder.can?([proving("a", 1, false_alarm: 0.1)]), "what was clear is no longer all there is to know"
  end
end
