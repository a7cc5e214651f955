# frozen_string_literal: true

require_relative "../../core_helper"

class DelayTest < CoreTest
  Delay = Access::Delay

  def test_a_few_slips_cost_nothing_and_each_one_after_them_twice_as_much
    assert_equal [0, 0, 0, 2, 4, 8, 16], (0..6).map { |failures| Delay.new(free: 3).seconds(failures) }
  end

  def test_it_never_grows_beyond_a_quarter_of_an_hour
    assert_equal [900], [12, 40, 10_000].map { |failures| Delay.new(free: 3).seconds(failures) }.uniq
  end

  def test_a_day_without_a_failure_forgets_them
    assert_equal 86_400, Delay::FORGOTTEN_AFTER_SECONDS
    assert_equal [0, 2], [11, 12].map { |failures| Delay::OF_AN_ADDRESS.seconds(failures) }
  end

  # Whoever waits out every delay for a whole day.
  def test_how_many_guesses_a_day_leaves
    clock = 0
    tries = 0
    while clock < 86_400
      tries += 1
      clock += Delay::OF_A_PAIR.seconds(tries)
    end

    assert_operator tries, :<, 110
  end
end
