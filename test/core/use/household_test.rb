# frozen_string_literal: true

require_relative "../../core_helper"

class HouseholdTest < CoreTest
  def test_traits_multiply_down_to_a_floor
    assert_in_delta 1.0, Use::Household.new.factor
    assert_in_delta 0.525, Use::Household.new(traits: %i[pets dust]).factor
    assert_in_delta 0.4, Use::Household.new(traits: Use::Household::FACTORS.keys).factor
  end

  # Hours of use count daily use already.
  def test_use_shortens_the_calendar_alone
    assert_equal [%i[pets], []], [%i[pets daily], %i[daily]].map { |traits| Use::Household.new(traits: traits).dirt.traits }
    assert_in_delta 0.8, Use::Household.new(traits: %i[daily]).factor
    assert_in_delta 1.0, Use::Household.new(traits: %i[daily]).dirt.factor
  end

  def test_an_unknown_trait_raises
    assert_raises(ArgumentError) { Use::Household.new(traits: [:parrots]) }
  end
end
