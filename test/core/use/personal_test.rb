# frozen_string_literal: true

require_relative "../../core_helper"

class PersonalTest < CoreTest
  def factor(*loads)
    Use::Personal.from(loads).factor
  end

  # Worked by hand: the geometric mean of 1, 1 and the ratios.
  def test_the_geometric_mean_with_two_visits_at_one
    assert_in_delta 1.0, factor
    assert_in_delta 2**(1 / 3.0), factor([1.5, 0.75])
    assert_in_delta (2 * 1.6)**0.25, factor([1.0, 0.5], [0.8, 0.5])
    assert_in_delta 1.0, factor([1.0, 0.5], [0.5, 1.0])
  end

  def test_kept_within_a_half_and_two
    assert_in_delta 2.0, factor(*[[1.5, 0.25]] * 9)
    assert_in_delta 0.5, factor(*[[0.25, 2.0]] * 9)
  end

  def test_a_visit_too_early_to_tell_says_nothing
    assert_in_delta 1.0, factor([1.5, 0.1], [0.25, 0.0])
    assert_empty Use::Personal.from([[1.5, 0.1]]).words
  end

  # Ratios of a household that is always twice as dirty: the factor goes towards two, and never back.
  def test_it_learns
    factors = (0..10).map { |visits| factor(*[[1.0, 0.5]] * visits) }

    assert_equal factors.sort, factors
    assert_operator factors[3], :>, 1.5
    assert_operator factors.last, :>, 1.75
  end
end
