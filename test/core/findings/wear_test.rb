# frozen_string_literal: true

require_relative "../../core_helper"

# How far gone, as the trade grades it: 0.25 hardly, 1.0 just right, 1.5 far gone.
class WearTest < CoreTest
  def found(observed, **place)
    Findings::Wear.found(position(**place), observed)
  end

  def test_as_dark_as_the_reference_is_just_right
    assert_equal [0.25, 0.4, 1.0], [0, 2, 5].map { |grey| found({ grey: grey }) }
    assert_in_delta 0.9, found({ grey: 2, indicator_percent: 90 }) # the strip knows better
  end

  def test_by_the_line_of_a_bag_and_a_bin
    assert_in_delta 1.0, found({ fill_percent: 50 }, kind: :bag)
    assert_in_delta 1.5, found({ fill_percent: 100 }, kind: :bag)
    assert_in_delta 0.5, found({ fill_percent: 45 }, kind: :bag, measures: { "change_at_percent" => 90 })
    assert_in_delta 0.5, found({ fill_percent: 33 }, kind: :bin)
  end

  def test_by_wear_and_by_drag
    assert_in_delta 0.5, found({ standout_mm: 4 }, kind: :brush, measures: { "new_standout_mm" => 8 })
    assert_equal [0.5, 1.0, 1.5], %w[free drags stuck].map { |turns| found({ turns: turns }, kind: :roll) }
  end

  # A reading at the top of its scale may stand for more.
  def test_at_the_end_of_a_scale_it_says_at_least
    ends = { { grey: 5 } => :filter, { indicator_percent: 100 } => :filter, { fill_percent: 100 } => :bag,
             { standout_mm: 0 } => :brush, { turns: "stuck" } => :roll }
    before = { { grey: 4 } => :filter, { indicator_percent: 99 } => :filter, { fill_percent: 99 } => :bin,
               { standout_mm: 0.5 } => :brush, { turns: "drags" } => :roll, { gaps: true } => :brush,
               { state: "torn" } => :seal }

    [[ends, true], [before, false]].each do |cases, at_least|
      cases.each do |observed, kind|
        assert_equal at_least, Findings::Wear.at_least?(position(kind: kind), observed), observed.to_s
      end
    end
  end

  def test_which_task_it_ages
    foam = position(kind: :filter, water: :cold, drying_floor_hours: 24)

    assert_equal %i[wash replace], [{ grey: 3 }, { grey: 3, indicator_percent: 40 }]
      .map { |observed| Findings::Wear.action(foam, observed) }
    assert_equal [:replace, :replace, :replace, :clean, :clean, nil],
      %i[filter bag brush bin roll seal].map { |kind| Findings::Wear.action(position(kind: kind), {}) }
  end

  def test_nothing_measured_tells_nothing
    assert_nil found({ torn: true })
    assert_nil found({ state: "clean" }, kind: :seal)
    assert_nil found({ standout_mm: 4 }, kind: :brush)
  end

  def test_expected_is_the_share_of_the_interval_that_has_run
    share = ->(today) { Findings::Wear.expected(started_on: MONDAY, due_on: MONDAY + 100, today: today) }

    assert_equal [0.0, 0.5, 1.0, 1.5], [0, 50, 100, 150].map { |days| share.call(MONDAY + days) }
    assert_equal [0.4, 0.7, 1.0], [0, 50, 100].map { |days|
      Findings::Wear.expected(started_on: nil, load: 0.4, load_on: MONDAY, due_on: MONDAY + 100, today: MONDAY + days)
    }
    assert_nil Findings::Wear.expected(started_on: nil, due_on: MONDAY, today: MONDAY)
    assert_nil Findings::Wear.expected(started_on: MONDAY, due_on: MONDAY, today: MONDAY)
  end
end
