# frozen_string_literal: true

require_relative "../../core_helper"

# Sheets that were written before there were steps.
class UpgradeTest < CoreTest
  OLD = { "format" => "upright-bench/sheet/1", "maker" => "N", "model" => "O", "kind" => "stick", "family" => "F",
          "body_style" => "B", "power" => "battery", "warranty_months" => 0,
          "stations" => [{ "key" => "head", "name" => "Head" }, { "key" => "bin", "name" => "Bin" }],
          "positions" => [
            { "key" => "roll", "name" => "Roll", "station" => "head", "kind" => "roll", "refit_order" => 3,
              "fasteners" => [{ "count" => 1, "driver" => "coin slot", "turns" => 0.25 }] },
            { "key" => "bin", "name" => "Bin", "station" => "bin", "kind" => "bin" },
            { "key" => "screen", "name" => "Screen", "station" => "bin", "kind" => "screen", "behind" => ["bin"] },
            { "key" => "cones", "name" => "Cones", "station" => "bin", "kind" => "cyclone", "beyond_handbook" => true,
              "behind" => %w[bin screen], "refit_order" => 2,
              "fasteners" => [{ "count" => 1, "driver" => "clip ring" }] },
            { "key" => "gasket", "name" => "Gasket", "station" => "bin", "kind" => "seal", "refit_order" => 1,
              "behind" => %w[bin screen cones] },
            { "key" => "flap", "name" => "Flap", "station" => "bin", "kind" => "flap", "behind" => %w[roll screen] }
          ] }.freeze

  def new_content
    Sheets::Upgrade.call(OLD)
  end

  def sheet
    Sheets::Parse.new(OLD).call
  end

  def test_what_held_a_place_becomes_a_step
    locks = sheet.step("roll").fasteners

    assert_equal [["coin_lock", nil, 0.25]],
      locks.map { |lock| [lock.kind, lock.driver, lock.turns] }
    assert_equal %w[roll bin screen cones flap], sheet.steps.map(&:key)
    assert_equal [%w[cones], [false, true]],
      [sheet.steps.select(&:beyond_handbook).map(&:key), %w[bin cones].map { |key| sheet.step(key).beyond_handbook }]
  end

  # Each place is reached by the same as before: all it was behind, and what held it.
  def test_what_a_place_was_behind_is_the_way_to_it
    ways = Strip::Ways.new(sheet)

    { "roll" => %w[roll], "bin" => [], "screen" => %w[bin], "cones" => %w[bin screen cones],
      "gasket" => %w[bin screen cones], "flap" => %w[roll bin screen flap] }.each do |place, way|
      assert_equal way, ways.to([place]).map(&:key), place
    end
  end

  def test_the_order_of_refitting_stays
    order = Strip::Plan.new(sheet, %w[cones roll gasket]).refit.map(&:key)

    assert_equal %w[gasket cones roll], order & %w[gasket cones roll]
  end

  def test_nothing_of_old_is_left_and_what_is_new_stays_as_it_is
    assert_equal Sheets::Shape::FORMAT, new_content["format"]
    assert_empty new_content["positions"].flat_map(&:keys) & Sheets::Upgrade::WENT
    assert_equal new_content, Sheets::Upgrade.call(new_content)
  end

  # What is no sheet is refused by the rules, in words.
  def test_what_is_not_sound_is_left_for_the_rules
    [nil, 3, {}, { "format" => "upright-bench/sheet/1" }, OLD.merge("positions" => [3]),
     OLD.merge("positions" => [{ "key" => "a", "behind" => 3 }]),
     OLD.merge("positions" => [{ "key" => "a", "fasteners" => [3] }]),
     OLD.merge("positions" => [{ "key" => "a", "refit_order" => "first" }]),
     OLD.merge("positions" => [*OLD["positions"], 3])].each do |wrong|
      assert_raises(Sheets::Invalid) { Sheets::Parse.new(wrong).call }
    end
    looped = OLD.merge("positions" => OLD["positions"].map do |row|
      row["key"] == "bin" ? row.merge("behind" => ["screen"]) : row
    end)

    assert_match(/loop/, assert_raises(Sheets::Invalid) { Sheets::Parse.new(looped).call }.message)
  end
end
