# frozen_string_literal: true

require_relative "strip_cases"

# How a machine is opened for some places and closed again; for more sheets made at random, see test/simulations.
class StripPlanTest < CoreTest
  include StripCases

  SEEDS = (0..99)

  def demo(model)
    DEMO.find { |sheet| sheet.model == model }
  end

  def keys(list)
    list.map { |one| one.step.key }
  end

  def test_what_the_sheet_says_of_the_way_back
    each_case do |one|
      said_first(closed_at(one.back)) { |key| one.sheet.step(key).refit_before }
      said_first(parts_at(one.back)) { |key| one.sheet.position(key).refit_before }
    end
  end

  # Parts that came off in one step go back in one.
  def said_first(order)
    order.each { |key, index| yield(key).each { |other| assert_operator index, :<=, order.fetch(other, index), key } }
  end

  def test_what_was_opened_is_closed_though_nobody_works_there_any_more
    plan = Strip::Plan.new(demo("Dart M"), ["post-filter"], open: ["housing"])

    assert_equal %w[post-filter-off bin-off screen-off clip-ring housing], keys(plan.opening)
    assert_equal %w[housing clip-ring screen-off bin-off post-filter-off], plan.refit.map(&:key)
    assert_equal :was_open, plan.opening.last.reason.key
  end

  # The worked strip-down of a mid-size stick (common practice): eleven screws of two drivers and two lengths and a clip
  # ring; gasket before cones.
  def test_the_cyclone_of_a_stick
    plan = Strip::Plan.new(demo("Dart M"), %w[cyclone-gasket cones])
    loose = plan.opening.flat_map { |one| one.step.loose }
    screws = loose.select { |held| held.kind == "screw" }

    assert_equal %w[bin-off screen-off clip-ring housing cones-out], keys(plan.opening)
    assert_equal [11, %w[T10 T8], [8, 14]],
      [screws.sum(&:count), screws.map(&:driver).sort, screws.map(&:length_mm).sort]
    assert_equal ["clip_ring"], (loose - screws).map(&:kind)
    assert_equal %w[cyclone-gasket cones-out housing clip-ring screen-off bin-off], plan.refit.map(&:key)
    assert_equal %w[bin screen], plan.only_off.map(&:key)
  end

  # An easily lifted separator needs none of that (common practice).
  def test_a_separator_that_lifts_out
    assert_empty(Strip::Plan.new(demo("Reed"), ["separator-gasket"]).opening.flat_map { |one| one.step.loose })
  end

  # Commercial upright (common practice): guide bars come off, four screws, before the front and rear strips; the hood
  # of the cup kind has three.
  def test_the_heads_of_commercial_uprights
    plan = Strip::Plan.new(demo("Stride 36"), %w[belt brush-rear])

    assert_equal %w[guide-bars front-strip rear-strip carrier], keys(plan.opening).sort_by { |key|
      %w[guide-bars front-strip rear-strip carrier].index(key)
    }
    assert_equal 4, demo("Stride 36").step("guide-bars").fasteners.sum(&:count)
    assert_equal %w[guide-bars brush-front], plan.only_off.map(&:key)
    assert_equal 3, demo("Stride 40 Cup").step("hood").fasteners.sum(&:count)
  end

  def test_felt_before_foam_and_the_right_side_first
    back = Strip::Plan.new(demo("Twinroll"), %w[foam felt]).refit.flat_map(&:places).map(&:key)

    assert_equal %w[felt foam], back
    assert_match(/right side first/i, demo("Reed").step("roll-out").orientation)
  end

  def test_why
    plan = Strip::Plan.new(demo("Dart M"), %w[cones])

    assert_equal [:way_to, { places: "cones" }], [plan.opening.first.reason.key, plan.opening.first.reason.figures]
    assert_equal %i[goes_back_first goes_back_after], plan.refit.first(2).map { |back| back.reason.key }
    assert_equal "cones", plan.refit[1].reason.figures[:what]
    many = Strip::Plan.new(demo("Dart M"), %w[screen cones cyclone-gasket bin roll])

    assert_equal({ places: "screen, cones, cyclone gasket" },
      many.opening.find { |one| one.step.key == "bin-off" }.reason.figures)
  end

  def test_more_than_three_places_are_counted
    rove = Strip::Plan.new(demo("Rove Q"), %w[pleat foam mesh])

    assert_equal({ places: "pleat layer, foam layer, mesh layer" }, rove.opening.first.reason.figures)
    opened = Sheets::Step.new(key: "lid", name: "Lid", opens: %w[p0 p1 p2 p3])

    assert_equal "plate", opened.outline
    sheet = RandomSheets.built(opened.opens.map { |key| RandomSheets.plain(key) }, [opened])

    assert_equal({ places: "p0, p1, p2", more: 1 },
      Strip::Plan.new(sheet, opened.opens).opening.first.reason.figures)
  end

  # Screws of one step differ in length and in place; no two demo sheets are opened alike.
  def test_demo_sheets_are_complete_and_distinct
    DEMO.each do |sheet|
      screws = sheet.steps.flat_map(&:fasteners).select { |held| held.kind == "screw" }

      assert_empty screws.reject { |one| one.length_mm && one.diameter_mm && one.at.size == one.count }, sheet.title
      refute_empty sheet.steps.filter_map(&:safe), sheet.title
      assert_empty sheet.steps.select { |step| step.loose.any? && !(step.tight || step.never) }, sheet.title
    end
    assert_equal DEMO.size, DEMO.map(&:steps).uniq.size
  end
end
