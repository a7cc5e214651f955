# frozen_string_literal: true

require_relative "../core/strip/strip_cases"

# Eighteen hundred sheets made at random, beside those of the core's own tests.
class StripPlanSimulation < CoreTest
  include StripCases

  SEEDS = (200..1999)
end
