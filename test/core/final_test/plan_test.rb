# frozen_string_literal: true

require "json"
require_relative "../../core_helper"

# What is tried before a machine goes home, and when that is enough.
class FinalTestPlanTest < CoreTest
  DEMO = Dir[File.join(CoreAlone::ROOT, "demo/sheets/*.json")].map do |file|
    UprightBench::Core::Sheets::Parse.new(JSON.parse(File.read(file))).call
  end.freeze
  NOON = Time.utc(2026, 3, 2, 12)

  def demo(model)
    DEMO.find { |sheet| sheet.model == model }
  end

  def keys(model, *worked, **more)
    FinalTest::Plan.new(demo(model), worked: worked, complaint: "weak", **more).call.map(&:key)
  end

  def test_nothing_done_is_nothing_to_try
    assert_empty keys("Dart M")
  end

  # After every refit (common practice): filters seated, the roll by hand, then under power; the lid closes without
  # force; half a minute at full power; no whistle; the complaint is tried again. What the sheet asks for stands before
  # what makes noise.
  def test_what_the_trade_tries_after_every_refit
    assert_equal %w[filters roll-by-hand roll-power lid light charge own-0 whistle full-power complaint],
      keys("Dart L", "roll", "filter")
  end

  # Each trial gives its reason: the technician worked at the place, or the shop tries it at every machine.
  def test_why_it_is_tried
    trials = FinalTest::Plan.new(demo("Dart L"), worked: %w[roll], complaint: "weak").call

    assert_equal %i[always_tried worked_at worked_at always_tried],
      trials.first(4).map { |trial| trial.reason.key }
  end

  # The contacts of a powered head charge nothing; a robot's do.
  def test_what_charges
    place = lambda do |model, worked|
      tried = FinalTest::Plan.new(demo(model), worked: [worked], complaint: "weak").call
      tried.find { |trial| trial.key == "charge" }&.place
    end

    assert_equal "battery", place.call("Dart L", "mini-contacts")
    assert_equal "contacts", place.call("Rove Q", "contacts")
    assert_nil place.call("Drum 30", "bag")
  end

  def test_a_flap_is_tried_where_somebody_was_at_it
    assert_equal %w[filters flap lid light charge own-0 whistle full-power complaint], keys("Dart L", "inlet-flap")
  end

  def test_what_this_machine_does_not_have_is_not_tried
    assert_empty keys("Drum 30", "bag") & %w[roll-by-hand roll-power dock-dust charge]
    assert_includes keys("Rove Q", "dock-bag"), "dock-dust"
    refute_includes keys("Dart M", "post-filter"), "roll-by-hand", "nobody touched the roll"
  end

  # Electrical safety is for a competent person under local rules: asked for where something live was worked at.
  def test_safety_where_something_live_was_opened
    assert_includes keys("Drum 30", "carbon"), FinalTest::Plan::SAFETY
    assert_includes keys("Loft K", "lead"), FinalTest::Plan::SAFETY
    refute_includes keys("Loft K", "bag"), FinalTest::Plan::SAFETY
    refute_includes keys("Dart M", "motor"), FinalTest::Plan::SAFETY, "a pack, no mains"
  end

  def test_light_gaskets_after_compressed_air
    refute_includes keys("Dart M", "screen"), "gaskets"
    assert_includes keys("Dart M", "screen", lifted: ["bin rim seal"]), "gaskets"
  end

  def test_the_point_that_was_read_and_what_the_sheet_asks_for
    refute_includes keys("Dart M", "roll"), "reading"
    assert_includes keys("Dart M", "roll", point: "Wand"), "reading"
    own = demo("Dart M").with(tests: ["The screen is quiet"])
    tried = FinalTest::Plan.new(own, worked: ["roll"], complaint: "weak").call

    assert_equal "The screen is quiet", tried.find { |trial| trial.key == "own-0" }.words
  end

  def test_every_sheet_has_its_test_and_names_its_places
    DEMO.each do |sheet|
      tried = FinalTest::Plan.new(sheet, worked: sheet.walk.map(&:key), complaint: "weak").call

      assert_equal tried.map(&:key).uniq, tried.map(&:key)
      assert(tried.filter_map(&:place).all? { |key| sheet.position?(key) })
      assert_operator tried.size, :>=, 5, sheet.title
    end
  end

  def answer(key, result, at)
    FinalTest::State::Answer.new(key: key, result: result, at: at)
  end

  def state(*answers, changed_at: nil)
    FinalTest::State.new(FinalTest::Plan.new(demo("Drum 30"), worked: ["carbon"], complaint: "weak").call, answers,
      changed_at: changed_at)
  end

  # What came for its service has nothing that could be gone.
  def test_a_service_is_no_complaint
    plan = ->(text) { FinalTest::Plan.new(demo("Dart L"), worked: %w[roll], complaint: text).call.map(&:key) }

    assert_includes plan.call("weak"), "complaint"
    assert_includes plan.call("half-yearly service, smells"), "complaint"
    refute_includes plan.call("half-yearly service"), "complaint"
    assert_includes plan.call("half-yearly service"), "full-power"
  end

  # One key passes the rest, never safety or the complaint.
  def test_what_is_answered_for_itself
    assert_equal %w[safety complaint], state.to_answer.map(&:key)
    assert_equal %w[safety], state(answer("complaint", "pass", NOON)).to_answer.map(&:key)
  end

  def test_the_last_answer_counts
    twice = state(answer("lid", "fail", NOON), answer("lid", "pass", NOON + 1))

    assert_empty twice.failed
    assert_equal %w[lid], state(answer("lid", "fail", NOON)).failed.map(&:key)
    refute_includes twice.open.map(&:key), "lid"
  end

  # What was worked at since may have changed it.
  def test_an_answer_from_before_the_last_work_counts_no_more
    before = [answer("complaint", "pass", NOON), answer("lid", "fail", NOON)]

    assert_empty state(*before, changed_at: NOON + 1).failed
    assert_includes state(*before, changed_at: NOON + 1).to_answer.map(&:key), "complaint"
    refute_includes state(*before, changed_at: NOON).to_answer.map(&:key), "complaint"
  end
end
