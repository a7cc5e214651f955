# frozen_string_literal: true

require_relative "plan_helper"

class StretchesTest < Minitest::Test
  include PlanHelper

  def test_what_is_over_is_left_out_and_what_touches_is_one
    assert_equal [[0, 240], [270, 700]], Bench::Stretches.joined([[-60, 0], [-10, 240], [270, 540], [540, 700]])
  end

  def test_whoever_is_away_is_there_for_what_is_left
    day = [[0, 240], [270, 540]]

    assert_equal [[0, 100], [200, 240], [270, 540]], Bench::Stretches.without(day, [[100, 200]])
    assert_equal [[0, 200], [300, 540]], Bench::Stretches.without(day, [[200, 300]])
    assert_empty Bench::Stretches.without(day, [[300, 999], [0, 300]])
    assert_equal day, Bench::Stretches.without(day, [[240, 270], [540, 900]])
  end
end
