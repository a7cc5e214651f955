# frozen_string_literal: true

require "json"
require_relative "../../core_helper"

class PlanTest < CoreTest
  def plan(marks)
    sheet = Sheets::Parse.new(JSON.parse(File.read(File.join(CoreAlone::ROOT, "demo/sheets/hallmoor-dart-m.json")))).call
    findings = marks.transform_values { |mark| Findings::Verdict.new(mark: mark, reason: "seen", clause: :seen) }
    Work::Plan.new(sheet: sheet, findings: findings).call
  end

  # Common practice: the bin is emptied before a filter is opened; what must dry goes first, longest first.
  def test_working_order
    items = plan("roll" => :clean, "pre-filter" => :wash, "post-filter" => :wash, "bin" => :clean, "battery" => :refer, "bin-seal" => :replace)

    assert_equal %w[battery bin post-filter pre-filter roll bin-seal], items.map(&:position)
  end

  def test_what_is_left_alone_is_no_work
    assert_empty plan("roll" => :leave)
  end

  def test_minutes_are_those_of_the_place_and_of_the_action
    assert_equal 2 + 8, plan("pre-filter" => :wash).first.minutes
  end
end
