# frozen_string_literal: true

require "date"
require "minitest/autorun"
require_relative "../launch/core_alone"
require_relative "support/watch"

# For tests of the core: the core's constants at hand, and small property checks.
class CoreTest < Minitest::Test
  include UprightBench::Core

  MONDAY = Date.new(2026, 3, 2)

  # Runs the block with many seeded random sources; a failure names the seed to run again.
  def for_all(times: 200)
    times.times do |seed|
      yield Random.new(seed)
    rescue Minitest::Assertion => e
      raise e.class, "seed #{seed}: #{e.message}"
    end
  end

  def position(**fields)
    Sheets::Position.new(key: "place", name: "Place", station: "head", kind: :filter, **fields)
  end

  def task(*clocks, action: :replace, **more)
    Clocks::Task.new(key: "replace", action: action, clocks: clocks, **more)
  end

  def clock(kind, limit, **more)
    Clocks::Clock.of(kind: kind, limit: limit, **more)
  end

  def rate(hours_per_week)
    Use::Rate.from(stated_hours_per_week: hours_per_week, today: MONDAY)
  end
end
