# frozen_string_literal: true

require "json"
require_relative "../../core_helper"

class PlanTest < CoreTest
  def plan(marks, model: "hallmoor-dart-m", missing: [])
    sheet = Sheets::Parse.new(JSON.parse(File.read(File.join(CoreAlone::ROOT, "demo/sheets/#{model}.json")))).call
    findings = marks.transform_values { |mark| Findings::Verdict.new(kind: mark, reason: Reason.written("seen")) }
    Work::Plan.new(sheet: sheet, findings: findings, missing: missing).call
  end

  # Common practice: safe, empty, dry cleaning outdoors, cut free, then washed what dries longest, then the rest, and
  # new parts last.
  def test_working_order
    items = plan({ "roll" => :clean, "pre-filter" => :wash, "post-filter" => :wash, "bin" => :clean, "screen" => :clean,
      "battery" => :refer, "bin-seal" => :clean, "contacts" => :replace })

    assert_equal %w[battery bin screen roll post-filter pre-filter bin-seal contacts], items.map(&:position)
  end

  def test_nothing_new_is_fitted_before_seals_and_hose_are_clean
    items = plan({ "bag" => :replace, "lid-seal" => :clean, "hose" => :clean, "exhaust-filter" => :replace },
      model: "brackwater-loft-k")

    assert_equal %w[hose lid-seal bag exhaust-filter], items.map(&:position)
  end

  # What lies behind is fitted before what closes it off.
  def test_of_new_parts_the_inner_one_first
    drum = plan({ "textile-filter" => :replace, "carbon" => :replace }, model: "corvane-drum-30")
    upright = plan({ "brush-front" => :replace, "belt" => :replace, "bag" => :replace }, model: "ostrel-stride-36")

    assert_equal %w[carbon textile-filter], drum.map(&:position)
    assert_equal %w[belt brush-front bag], upright.map(&:position)
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

  # The way there counts once, whatever is done there besides.
  def test_minutes_of_several_at_a_place
    place = position(kind: :filter, minutes: 2)

    assert_equal [10, 15], [[], [:clean]].map { |also| Work::Plan.minutes(place, :wash, also: also) }
  end

  # What was found says why where both ask for the same; what asks for more is done.
  def test_what_is_done_because_its_time_is_up
    content = JSON.parse(File.read(File.join(CoreAlone::ROOT, "demo/sheets/hallmoor-dart-m.json")))
    sheet = Sheets::Parse.new(content).call
    verdict = ->(kind, words) { Findings::Verdict.new(kind: kind, reason: Reason.written(words)) }
    found = { "roll" => verdict[:clean, "seen"], "post-filter" => verdict[:replace, "seen"] }
    due = { "roll" => verdict[:replace, "due"], "post-filter" => verdict[:wash, "due"],
            "bin-seal" => verdict[:clean, "due"] }
    items = Work::Plan.new(sheet: sheet, findings: found, due: due).call.to_h { |item| [item.position, item] }

    assert_equal({ "roll" => [:replace, "due"], "post-filter" => [:replace, "seen"], "bin-seal" => [:clean, "due"] },
      items.transform_values { |item| [item.action, item.reason.figures[:text]] })
  end

  def test_minutes_are_those_of_the_place_and_of_the_action
    assert_equal 2 + 8, plan({ "pre-filter" => :wash }).first.minutes
  end
end
