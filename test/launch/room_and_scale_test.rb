# frozen_string_literal: true

require "minitest/autorun"
require_relative "../../gauge/program"

# The thermometer and the scale that are not there.
class RoomAndScaleTest < Minitest::Test
  NOON = Time.utc(2026, 3, 2, 15)

  def test_a_room_is_warm_in_the_afternoon_and_damp_in_the_early_morning
    room = UprightBench::Gauge::Room.new
    afternoon = room.at(NOON)
    night = room.at(NOON + (12 * 3600))

    assert_operator afternoon.first, :>, night.first + 2
    assert_operator afternoon.last + 10, :<, night.last
    nights = Array.new(4) { |day| room.at(NOON + (12 * 3600) + (day * 86_400)).last }

    assert_operator nights.max, :>, nights.min + 10, "one of four is damper"
  end

  def test_it_writes_as_its_pattern_reads
    line = UprightBench::Gauge::Room.new(clock: -> { NOON }, random: Random.new(1)).line

    assert UprightBench::Core::Gauges::RoomLine.new(pattern: "T {temperature} H {humidity}").read(line)
  end

  def test_a_scale_comes_to_rest_on_what_is_laid_on_it
    scale = UprightBench::Gauge::Scale.new(grams: 64.2)
    lines = Array.new(15) { scale.line }

    refute_equal "64.2 g", lines.first
    assert_equal "64.2 g", lines.last
    scale.told("lay 182.5\n")
    scale.told("nonsense")

    assert_equal "182.5 g", Array.new(15) { scale.line }.last
  end
end
