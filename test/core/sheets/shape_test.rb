# frozen_string_literal: true

require "json"
require_relative "../../core_helper"

class ShapeTest < CoreTest
  # The same shape as others read it, written by hand.
  SCHEMA = JSON.parse(File.read(File.join(CoreAlone::ROOT, "docs/sheet.schema.json"))).freeze
  PARTS = { Sheets::Shape::SHEET => [], Sheets::Shape::STATION => %w[$defs station],
            Sheets::Shape::KIT => %w[$defs kit], Sheets::Shape::POSITION => %w[$defs position],
            Sheets::Shape::TASK => %w[$defs task], Sheets::Shape::CLOCK => %w[$defs clock],
            Sheets::Shape::STEP => %w[$defs step], Sheets::Shape::FASTENER => %w[$defs fastener],
            Sheets::Shape::SHARE => %w[$defs share],
            Sheets::Shape::LIGHT => %w[$defs light] }.freeze

  def told(what, value)
    Sheets::Shape.problems({ "it" => value }, { "it" => [what, true] }, [])
  end

  def test_what_must_be_there_is_what_the_published_schema_says
    PARTS.each do |spec, path|
      missing = Sheets::Shape.problems({}, spec, []).map { |problem| problem.to_s[/(\S+) is missing/, 1] }

      assert_equal at(path).fetch("required").sort, missing.sort, path.join("/")
      assert_equal at(path).fetch("properties").keys.sort, spec.keys.sort, path.join("/")
    end
  end

  def test_each_type_at_its_limits
    good = { words: ["x", "x" * 1000], key: ["a", "a-1", "a" * 60], count: [0, 1], amount: [0.1, 999_999],
             flag: [true, false], list: [[], [{}] * 200], words_list: [[], ["x"] * 200], amounts: [{}, { "x" => 1 }],
             counts: [{ "x" => 1 }], attributes: [{}, { "x" => true }, { "x" => "left" }],
             words_map: [{}, { "x" => "y" }],
             points: [[], [[0, 100]], [[50.5, 3]] * 200] }
    bad = { words: ["", " ", "x" * 1001, 1, nil], key: ["", "A", "a_b", "a--b", "a" * 61, 1], count: [-1, 1.0, "1"],
            amount: [0, -1, 1_000_000, "1"], flag: [nil, 1, "true"], list: [[1], [{}] * 201, {}],
            words_list: [[1], ["x"] * 201, [""]], amounts: [{ "x" => 1, "y" => 0 }, []],
            counts: [{}, { "x" => 1, "y" => 0 }, { "x" => 1.5 }], attributes: [{ "x" => 1 }, { "x" => nil }, []],
            words_map: [[], { "x" => "" }, { "x" => true }],
            points: [[[1]], [[1, 101]], [["1", 2]], [3], {}, [[1, 2]] * 201] }

    assert_equal Sheets::Shape::TYPES.keys.sort, good.keys.sort
    good.each { |what, values| values.each { |value| assert_empty told(what, value), "#{what} #{value}"[0, 60] } }
    bad.each { |what, values| values.each { |value| refute_empty told(what, value), "#{what} #{value}"[0, 60] } }
  end

  private

  def at(path)
    path.empty? ? SCHEMA : SCHEMA.dig(*path)
  end
end
