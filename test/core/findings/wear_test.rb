# frozen_string_literal: true

require_relative "../../core_helper"

# How far gone a part should be by its clock.
class WearTest < CoreTest
  def test_expected_is_the_share_of_the_interval_that_has_run
    share = ->(today) { Findings::Wear.expected(started_on: MONDAY, due_on: MONDAY + 100, today: today) }

    assert_equal [0.0, 0.5, 1.0, 1.5], [0, 50, 100, 150].map { |days| share.call(MONDAY + days) }
    assert_equal [0.4, 0.7, 1.0], [0, 50, 100].map { |days|
      Findings::Wear.expected(started_on: nil, load: 0.4, load_on: MONDAY, due_on: MONDAY + 100, today: MONDAY + days)
    }
    # Due in 100 days, which are 200 divided by a factor of this machine's: a quarter of 200 has run.
    assert_in_delta 0.25, Findings::Wear.expected(started_on: MONDAY, due_on: MONDAY + 100, today: MONDAY + 50,
      personal: 2)
    assert_nil Findings::Wear.expected(started_on: nil, due_on: MONDAY, today: MONDAY)
    assert_nil Findings::Wear.expected(started_on: MONDAY, due_on: MONDAY, today: MONDAY)
  end
end
