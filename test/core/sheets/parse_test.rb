# frozen_string_literal: true

require "json"
require_relative "../../core_helper"

class ParseTest < CoreTest
  FILES = Dir[File.join(CoreAlone::ROOT, "demo/sheets/*.json")].freeze

  def data
    JSON.parse(File.read(FILES.first))
  end

  def problems(&)
    broken = data.tap(&)
    assert_raises(Sheets::Invalid) { Sheets::Parse.new(broken).call }.problems.join("\n")
  end

  def test_every_shipped_sheet_parses_and_walks_each_place_once
    FILES.each do |file|
      sheet = Sheets::Parse.new(JSON.parse(File.read(file))).call

      assert_equal sheet.positions.map(&:key).sort, sheet.walk.map(&:key).sort
    end
  end

  def test_the_walk_follows_the_air_and_takes_what_hangs_beside_last
    sheet = Sheets::Parse.new(JSON.parse(File.read(FILES.grep(/loft/).first))).call

    assert_equal %w[tool-strips tool-neck tool-pedal wand bleed-valve hose bag lid-seal motor-filter motor lead
                    exhaust-filter], sheet.walk.map(&:key)
  end

  def test_names_every_problem_at_once
    found = problems do |sheet|
      sheet["positions"][0]["kind"] = "spoon"
      sheet["positions"][1]["water"] = "boiling"
      sheet["positions"][2].delete("name")
    end

    assert_match(/unknown kind spoon/, found)
    assert_match(/water is never, cold, lukewarm/, found)
    assert_match(/name/, found)
  end

  def test_rules_of_a_whole_sheet
    assert_match(/stands twice/, problems { |sheet| sheet["positions"] << sheet["positions"][0] })
    assert_match(/no station attic/, problems { |sheet| sheet["positions"][0]["station"] = "attic" })
    assert_match(/no position attic/, problems { |sheet| sheet["positions"][0]["refit_before"] = ["attic"] })
    assert_match(/is not known/, problems { |sheet| sheet["colour"] = "red" })
    assert_match(/missing/, problems { |sheet| sheet.delete("maker") })
    assert_match(/clock/, problems do |sheet|
      sheet["positions"].last["tasks"] = [{ "key" => "x", "action" => "replace", "clocks" => [] }]
    end)
  end

  def test_things_of_the_wrong_shape
    { "maker" => " ", "model" => 7, "warranty_months" => "two years", "positions" => {}, "stations" => [7] }
      .each do |key, value|
      assert_match(/#{key} must be/, problems { |sheet| sheet[key] = value })
    end
    assert_raises(Sheets::Invalid) { Sheets::Parse.new([]).call }
    assert_match(/positions must be a list of objects/, problems { |sheet| sheet["positions"][0] = "brush" })
    assert_match(/months come whole/, problems do |sheet|
      sheet["positions"].last["tasks"] = [{
        "key" => "x", "action" => "replace", "clocks" => [{ "kind" => "months", "limit" => 1.5 }]
      }]
    end)
  end

  # Of what has the wrong shape nothing else is said: it means nothing.
  def test_a_wrong_shape_is_complained_of_once
    content = JSON.parse(File.read(File.join(CoreAlone::ROOT, "demo/sheets/maristo-twinroll.json")))
    content["positions"][1]["tasks"] = "every year"
    problems = assert_raises(Sheets::Invalid) { Sheets::Parse.new(content).call }.problems

    assert_equal [["positions", 1, "tasks"]], problems.map(&:path)
  end

  def test_what_may_be_wetted_says_how_long_it_dries
    assert_match(/drying_floor_hours/, problems { |sheet| sheet["positions"].last.merge!("water" => "cold") })
  end
end
