# frozen_string_literal: true

require_relative "../../core_helper"

# What a reader does not ask the background for makes no difference to it.
class AsksForTest < CoreTest
  RICH = { wash_count: 30, fitted_on: Date.new(2020, 1, 1), hours_per_week: 9 }.freeze
  MEASURES = { "new_standout_mm" => 8, "length_mm" => 500, "new_length_mm" => 30, "least_length_mm" => 10,
               "run_minutes" => 40, "hygiene_days" => 60,
               "hours_a_bag" => 13 }.freeze

  def verdict(place, observed, background)
    Findings::Read.new(position: place, observed: observed,
      background: Findings::Background.new(today: Date.new(2026, 1, 1), **background)).call
  end

  # Every single value that may be recorded for a kind.
  def each_observation(kind)
    Kinds.fetch(kind).fields.each do |name, field|
      field.sample_values.each { |value| yield({ name => value }) }
    end
  end

  def test_what_is_not_asked_for_makes_no_difference
    Kinds::ALL.each_key do |kind|
      place = position(kind: kind, measures: MEASURES)
      asked = RICH.slice(*Kinds.fetch(kind).asks_for)

      each_observation(kind) do |observed|
        assert_equal [verdict(place, observed, asked)], [verdict(place, observed, RICH)], "#{kind} #{observed}"
      end
    end
  end

  def test_what_is_asked_for_does
    washed = position(kind: :filter, water: :cold, drying_floor_hours: 24)

    assert_equal :washed_out, verdict(washed, { grey: 5 }, { wash_count: 30 }).clause
    assert_equal :bag_stale, verdict(position(kind: :bag, measures: MEASURES), { fill_percent: 5 },
      { fitted_on: Date.new(2020, 1, 1) }).clause
  end
end
