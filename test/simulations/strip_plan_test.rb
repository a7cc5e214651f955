# frozen_string_literal: true

# Group: slow (a simulation)

require_relative "../core/strip/strip_cases"

# Nineteen hundred sheets made at random, beside those of the core's own tests.
class StripPlanSimulation < CoreTest
  include StripCases

  SEEDS = (100..1999)

  # However many choices there are, an answer comes, and it opens everything.
  def test_a_sheet_that_nobody_can_search_through
    steps = Array.new(60) do |index|
      Sheets::Step.new(key: "s#{index}", name: "s", opens: ["p#{index / 2}", "p#{(index / 2) + 1}"],
        minutes: 1 + (index % 7))
    end
    places = steps.flat_map(&:opens).uniq
    sheet = RandomSheets.built(places.map { |key| RandomSheets.plain(key) }, steps)
    chosen = Strip::Ways.new(sheet).to(places)

    assert_empty places - chosen.flat_map(&:opens)
  end
end
