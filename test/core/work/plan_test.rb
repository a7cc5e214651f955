# frozen_string_literal: true

require "json"
require_relative "../../core_helper"

class PlanTest < CoreTest
  def plan(marks, model: "hallmoor-dart-m", missing: [])
    sheet = Sheets::Parse.new(JSON.parse(File.read(File.join(CoreAlone::ROOT, "demo/sheets/#{model}.json")))).call
    findings = marks.transform_values { |mark| Findings::Verdict.new(kind: mark, reason: Reason.written("seen")) }
    Work::Plan.new(sheet: sheet, findings: findings, missing: missing).call
  end

  # Common practice: the bin is emptied before a filter is opened; what must dry goes first, longest first.
  def test_working_order
    items = plan({ "roll" => :clean, "pre-filter" => :wash, "post-filter" => :wash, "bin" => :clean,
      "battery" => :refer, "bin-seal" => :replace })

    assert_equal %w[battery bin post-filter pre-filter roll bin-seal], items.map(&:position)
  end

  def test_what_is_left_alone_is_no_work
    assert_empty plan({ "roll" => :leave })
  end

  # Common practice: a drum never runs with the bag and without the textile filter, or the other way round.
  def test_two_that_belong_together_are_added_together
    items = plan({ "bag" => :replace }, model: "corvane-drum-30", missing: ["textile-filter"])

    assert_equal({ "bag" => :replace, "textile-filter" => :replace },
      items.to_h { |item| [item.position, item.action] })
    assert_equal Reason.of(:never_without, place: "paper bag"),
      items.find { |item| item.position == "textile-filter" }.reason
    assert_empty plan({}, model: "corvane-drum-30", missing: %w[bag textile-filter])
  end

  def test_minutes_are_those_of_the_place_and_of_the_action
    assert_equal 2 + 8, plan({ "pre-filter" => :wash }).first.minutes
  end
end
