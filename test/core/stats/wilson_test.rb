# frozen_string_literal: true

require_relative "../../core_helper"

class WilsonTest < CoreTest
  # The four examples of Newcombe (1998), "Two-sided confidence intervals for the single proportion", score method
  # without continuity correction (from memory).
  NEWCOMBE = { [81, 263] => [0.2553, 0.3662], [15, 148] => [0.0624, 0.1605], [0, 20] => [0.0, 0.1611],
               [1, 29] => [0.0061, 0.1718] }.freeze

  def test_published_examples
    NEWCOMBE.each do |(hits, tries), (low, high)|
      interval = Stats::Wilson.new(hits: hits, tries: tries)

      assert_in_delta low, interval.low, 0.00005
      assert_in_delta high, interval.high, 0.00005
    end
  end

  def test_nothing_tried_says_nothing
    none = Stats::Wilson.new(hits: 0, tries: 0)

    assert_nil none.share
    assert_equal [0.0, 1.0], [none.low, none.high]
  end

  def test_holds_the_share_and_narrows
    for_all do |random|
      tries = random.rand(1..500)
      one = Stats::Wilson.new(hits: random.rand(0..tries), tries: tries)
      ten = Stats::Wilson.new(hits: one.hits * 10, tries: tries * 10)

      assert_operator one.low, :<=, one.share + 1e-12
      assert_operator one.high, :>=, one.share - 1e-12
      assert_operator ten.high - ten.low, :<, one.high - one.low
      assert_in_delta one.low, 1 - Stats::Wilson.new(hits: tries - one.hits, tries: tries).high, 1e-12
    end
  end

  def test_more_hits_than_tries
    [[2, 1], [-1, 5], [0, -1]].each do |hits, tries|
      assert_raises(ArgumentError) { Stats::Wilson.new(hits: hits, tries: tries) }
    end
  end
end
