# frozen_string_literal: true

require_relative "../../core_helper"

class FaultBeliefTest < CoreTest
  include UprightBench::Core::Faults

  def trial(shows, **more)
    Check.new(key: "t", place: nil, name: "t", act: "a", sign: "s", minutes: 1, shows: shows, **more)
  end

  # The medical test that physicians get wrong (Eddy 1982, as it is told since; from memory): one of a hundred has it,
  # the test shows 80 of a hundred who do and 9.6 of a hundred who do not: 7.8 of a hundred who are shown have it.
  def test_the_medical_test
    belief = Belief.new({ "ill" => 0.01, nil => 0.99 }).after(trial({ "ill" => 0.8 }, false_alarm: 0.0), :clear)

    assert_in_delta 0.002, belief["ill"], 0.0001
    alarming = trial({ "ill" => 0.8 - ((1 - 0.8) * 0) }, splits: true, otherwise: 0.096)
    shown = Belief.new({ "ill" => 0.01, nil => 0.99 }).after(alarming, :found)

    assert_in_delta 0.0776, shown["ill"], 0.0005
  end

  def test_a_false_alarm_leaves_something_to_the_others
    check = trial({ "a" => 0.9 }, false_alarm: 0.1)

    assert_in_delta 0.91, check.likelihood("a")
    assert_in_delta 0.1, check.likelihood("b")
    refute_predicate check, :proves?
    belief = Belief.new({ "a" => 0.5, "b" => 0.5 }).after(check, :found)

    assert_in_delta 0.91 / 1.01, belief["a"]
  end

  def test_shares_sum_to_one_whatever_comes
    for_all do |random|
      shares = Array.new(4) { |n| ["c#{n}", random.rand] }.to_h.merge(nil => 0.05)
      belief = 3.times.inject(Belief.new(shares)) do |now, n|
        now.after(trial({ "c#{n}" => random.rand * 0.99 }), %i[clear cannot_tell].sample(random: random))
      end

      assert_in_delta 1.0, belief.to_h.each_value.sum
      assert_operator belief[nil], :>, 0
    end
  end

  def test_what_was_mended_is_gone_and_the_rest_stands
    belief = Belief.new({ "a" => 0.6, "b" => 0.3, nil => 0.1 })

    assert_equal belief.to_h, belief.after(trial({ "a" => 1.0 }), :cannot_tell).to_h
    assert_in_delta 0.75, belief.without(%w[a])["b"]
    assert_in_delta 1.0, Belief.new({ "a" => 1.0 }).without(%w[a])[nil]
  end

  def test_weighed_by_a_reading
    belief = Belief.new({ "a" => 0.5, "b" => 0.5 }).weighed({ "a" => 3.0 })

    assert_in_delta 0.75, belief["a"]
  end

  # The table counts as twenty cases.
  def test_learned_weights
    table = { "a" => 0.5, "b" => 0.3, nil => 0.2 }

    assert_equal table, LearnWeights.new(table, {}).call
    learned = LearnWeights.new(table, { "a" => 20, "gone" => 5 }).call

    assert_in_delta 0.75, learned["a"]
    assert_in_delta 1.0, learned.each_value.sum
    assert_in_delta 0.9, LearnWeights.new(table, { "b" => 2000 }).call["b"], 0.1
  end
end
