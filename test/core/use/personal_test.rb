# frozen_string_literal: true

require_relative "../../core_helper"

class PersonalTest < CoreTest
  def factor(*loads)
    Use::Personal.new(ratios: loads.map { |found, expected| found / expected }).factor
  end

  # Worked by hand: the geometric mean of 1, 1 and the ratios.
  def test_the_geometric_mean_with_two_visits_at_one
    assert_in_delta 1.0, factor
    assert_in_delta 2**(1 / 3.0), factor([1.5, 0.75])
    assert_in_delta (2 * 1.6)**0.25, factor([1.0, 0.5], [0.8, 0.5])
    assert_in_delta 1.0, factor([1.0, 0.5], [0.5, 1.0])
  end

  def test_kept_within_a_half_and_two
    assert_includes 1.75..2.0, factor(*[[1.5, 0.25]] * 9)
    assert_includes 0.5..0.57, factor(*[[0.25, 2.0]] * 9)
  end

  # Found at the least where the most was expected: it says no more than half, and one job moves it by a fifth.
  def test_one_job_says_no_more_than_twice_or_half
    assert_in_delta 2**(1 / 3.0), factor([0.25 * 9, 0.25])
    assert_in_delta 0.5**(1 / 3.0), factor([0.25, 9.99])
  end

  def test_with_no_visit_there_is_nothing_to_say
    assert_empty Use::Personal.new.figures
    assert_raises(ArgumentError) { Use::Personal.new(ratios: [0.0]) }
  end

  # Ratios of a household that is always twice as dirty: the factor goes towards two, and never back.
  def test_it_learns
    factors = (0..10).map { |visits| factor(*[[1.0, 0.5]] * visits) }

    assert_equal factors.sort, factors
    assert_operator factors[3], :>, 1.5
    assert_operator factors.last, :>, 1.75
  end
end
