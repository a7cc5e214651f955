# frozen_string_literal: true

require "json_schemer"
require_relative "../test_helper"

# A sheet as a file. The published schema is checked with json_schemer, a reference library for JSON Schema 2020-12:
# what it takes and what the core takes are the same shapes.
class SheetFileTest < AppTest
  FILES = Dir[File.join(TestDatabase::ROOT, "demo/sheets/*.json")].freeze
  SCHEMA = JSONSchemer.schema(Pathname(TestDatabase::ROOT).join("docs/sheet.schema.json"))

  # How a position may be broken: each is refused by the schema and by the core.
  BREAKS = {
    "kind" => "spoon", "water" => "boiling", "minutes" => 0, "beside" => "yes", "attributes" => { "clip" => 3 },
    "measures" => { "length_mm" => "long" },
    "refit_before" => "bin", "colour" => "red", "key" => "Not a key", "name" => " ",
    "tasks" => [{ "key" => "x", "action" => "burn", "clocks" => [{ "kind" => "hours", "limit" => 1 }] }],
    "features" => ["wings"], "layer" => -1
  }.freeze
  STEPS = { "name" => " ", "key" => "Not a key", "opens" => "bin",
            "fasteners" => [{ "count" => 1.5, "driver" => "T8" }],
            "minutes" => 0, "outline" => "star", "colour" => "red", "beyond_handbook" => "yes" }.freeze
  HELD = { "kind" => "nail", "at" => [[1]], "direction" => "up", "length_mm" => 0, "turns" => "half" }.freeze
  HEADS = { "maker" => 7, "kind" => "kettle", "power" => "steam", "warranty_months" => 1.5, "stations" => [],
            "rated" => { "noise_db" => 70 },
            "kits" => [{ "name" => "Box", "contains" => {} }] }.freeze
  CLOCKS = [{ "kind" => "weeks", "limit" => 1 }, { "kind" => "months", "limit" => 1.5 },
            { "kind" => "count", "limit" => 4 }, { "kind" => "indicator", "limit" => 101 },
            { "kind" => "count", "limit" => 4, "of" => "bags" }, { "kind" => "hours", "limit" => 0 },
            { "kind" => "hours" }].freeze

  def content(file = FILES.grep(/twinroll/).first)
    JSON.parse(File.read(file))
  end

  def taken?(content)
    Core::Sheets::Parse.new(content).call && true
  rescue Core::Sheets::Invalid
    false
  end

  def assert_refused_by_both(broken, what)
    refute SCHEMA.valid?(broken), "the schema takes #{what}"
    refute taken?(broken), "the core takes #{what}"
  end

  def test_the_schema_is_a_schema_and_takes_every_shipped_sheet
    assert JSONSchemer.valid_schema?(JSON.parse(File.read(File.join(TestDatabase::ROOT, "docs/sheet.schema.json"))))
    FILES.each { |file| assert_empty SCHEMA.validate(content(file)).map { |error| error["error"] }, file }
    Core::Sheets::Sheet::KINDS.each do |kind|
      assert SCHEMA.valid?(Core::Sheets::Starter.content(kind: kind, maker: "A", model: "B"))
    end
  end

  def test_a_broken_step_is_refused_by_both
    STEPS.each do |key, value|
      broken = content
      broken["steps"].first[key] = value

      assert_refused_by_both(broken, "#{key} #{value} of a step")
    end
    HELD.each do |key, value|
      broken = content
      broken["steps"].first["fasteners"].first[key] = value

      assert_refused_by_both(broken, "#{key} #{value} of a fastener")
    end
  end

  # What was written before there were steps is read, and written as today.
  def test_an_older_file
    old = content.merge("format" => "upright-bench/sheet/1").except("steps")
    old["positions"].find { |row| row["key"] == "felt" }["behind"] = ["foam"]
    read = Formats::SheetFile.read(JSON.generate(old))

    assert_equal [Core::Sheets::Shape::FORMAT, %w[foam]], [read["format"], read["steps"].map { |step| step["key"] }]
    assert SCHEMA.valid?(read)
  end

  def test_schema_and_core_know_the_same_words
    position = SCHEMA.value.dig("$defs", "position", "properties")

    assert_equal Core::Sheets::Shape::POSITION.keys.sort, position.keys.sort
    assert_equal Core::Kinds::ALL.keys.map(&:to_s).sort, position.dig("kind", "enum").sort
    assert_equal Core::Sheets::Position::FEATURES, position.dig("features", "items", "enum")
    assert_equal Core::Sheets::Shape::SHEET.keys.sort, SCHEMA.value["properties"].keys.sort
  end

  def test_schema_and_core_refuse_the_same
    BREAKS.each do |key, value|
      assert_refused_by_both(content.tap { |sheet| sheet["positions"][0][key] = value }, "#{key} #{value}")
    end
    CLOCKS.each do |clock|
      assert_refused_by_both(content.tap do |sheet|
        sheet["positions"][0]["tasks"] = [{ "key" => "x", "action" => "replace", "clocks" => [clock] }]
      end, clock)
    end
    HEADS.each { |key, value| assert_refused_by_both(content.merge(key => value), "#{key} #{value}") }
  end

  def test_written_and_read_again_it_is_the_same
    FILES.each do |file|
      written = Formats::SheetFile.write(content(file).to_a.shuffle(random: Random.new(1)).to_h)

      assert_equal content(file), Formats::SheetFile.read(written)
      assert_equal written, Formats::SheetFile.write(Formats::SheetFile.read(written)),
        "the second writing is the first"
    end
  end

  def bad(text)
    assert_raises(Formats::Malformed) { Formats::SheetFile.read(text) }.problems
  end

  def test_a_broken_file_names_the_line_and_the_rule
    text = Formats::SheetFile.write(content)
    line = text.lines.index { |one| one.include?('"warranty_months"') } + 1

    assert_equal ["Line #{line}: warranty_months: warranty_months must be a whole number."],
      bad(text.sub('"warranty_months": 60', '"warranty_months": "five years"'))
    assert_match(/\ALine #{line}: it is no JSON/, bad(text.sub('"warranty_months": 60', '"warranty_months" 60')).first)
    assert_match(/\ALine \d+: .*loop/, bad(text.sub('"name": "Foam filter",',
      '"name": "Foam filter", "refit_before": ["felt"],')).first)
    ["", "[1,2", "[]", "null", "x" * 600_000, "[" * 50, "\u0000"].each { |junk| refute_empty bad(junk) }
  end

  def test_lines_of_every_value
    lines = Formats::JsonLines.new(%({\n "a\\"b": [1,\n  {"c": null}],\n\n "d": "x\\ny" })).call

    assert_equal({ [] => 1, ["a\"b"] => 2, ["a\"b", 0] => 2, ["a\"b", 1] => 3, ["a\"b", 1, "c"] => 3, ["d"] => 5 },
      lines)
  end
end
