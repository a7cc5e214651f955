# frozen_string_literal: true

require "json"
require_relative "../../core_helper"

# What must hold of the steps of a sheet, each rule broken once.
class StepRulesTest < CoreTest
  def content(file = "maristo-twinroll")
    JSON.parse(File.read(File.join(CoreAlone::ROOT, "demo/sheets/#{file}.json")))
  end

  def step(sheet, key)
    sheet["steps"].find { |row| row["key"] == key }
  end

  def assert_broken(words, file = "maristo-twinroll", &)
    sheet = content(file).tap(&)

    assert_match words, assert_raises(Sheets::Invalid) { Sheets::Parse.new(sheet).call }.problems.join("\n")
  end

  def test_names_lead_somewhere
    assert_broken(/steps › 4 › after: no step lid/) { |sheet| step(sheet, "foam-out")["after"] = ["lid"] }
    assert_broken(/refit_before: no step lid/) { |sheet| step(sheet, "foam-out")["refit_before"] = ["lid"] }
    assert_broken(/opens: no position attic/) { |sheet| step(sheet, "foam-out")["opens"] = ["attic"] }
    assert_broken(/takes_off: no position attic/) { |sheet| step(sheet, "foam-out")["takes_off"] = ["attic"] }
    assert_broken(/refit_before: no position attic/) do |sheet|
      sheet["positions"].first["refit_before"] = ["attic"]
    end
    assert_broken(/step foam-out stands twice/) { |sheet| sheet["steps"] << step(sheet, "foam-out") }
  end

  def test_no_way_in_runs_in_a_loop
    assert_broken(/the steps run in a loop: .*foam-out/) do |sheet|
      step(sheet, "tray-open")["after"] = ["foam-out"]
    end
    assert_broken(/loop: foam-out wait/) { |sheet| step(sheet, "foam-out")["after"] = ["foam-out"] }
  end

  # The foam lies over the felt: it cannot go back before it.
  def test_no_way_back_runs_in_a_loop
    assert_broken(/the refit order runs in a loop: (foam-out, felt|felt, foam-out)/) do |sheet|
      sheet["positions"].find { |row| row["key"] == "foam" }["refit_before"] = ["felt"]
    end
    assert_broken(/the refit order runs in a loop/) do |sheet|
      step(sheet, "tray-open")["refit_before"] = ["foam-out"]
    end
  end

  # Two parts that come off together may still not wait for each other.
  def test_parts_of_one_step_do_not_wait_for_each_other
    assert_broken(/the refit order runs in a loop: .*front-roll.*rear-roll|rear-roll.*front-roll/) do |sheet|
      sheet["steps"] = [{ "key" => "both", "name" => "Both", "takes_off" => %w[front-roll rear-roll] }]
      rolls = sheet["positions"].select { |row| row["key"].end_with?("-roll") }
      rolls.zip(rolls.reverse) { |row, other| row["refit_before"] = [other["key"]] }
    end
  end

  def test_nothing_comes_off_twice_or_before_it_is_reached
    assert_broken(/foam comes off in two steps/) { |sheet| step(sheet, "grille")["takes_off"] = ["foam"] }
    assert_broken(/felt comes off before anything opens it/) { |sheet| step(sheet, "grille")["takes_off"] = ["felt"] }
  end

  # Common practice: what comes with no name beside it is named in full.
  def test_a_fastener_in_words
    held = ->(**fields) { Sheets::Fastener.new(count: 1, **fields) }

    assert_equal "3 × coin locks, a quarter turn to the left",
      Sheets::Fastener.new(count: 3, kind: "coin_lock", turns: 0.25, direction: "left").words
    assert_equal "2 × T8, 8 mm", Sheets::Fastener.new(count: 2, driver: "T8", length_mm: 8).words
    assert_equal "1 × clip ring (plastic wedge)", held[kind: "clip_ring", driver: "plastic wedge"].words
    assert_equal(["an eighth turn", "half a turn", "one turn", "1.5 turns"], [0.125, 0.5, 1, 1.5]
      .map { |turns| held[kind: "bayonet", turns: turns].words.delete_prefix("1 × bayonet lock, ") })
  end

  def test_what_a_fastener_may_be
    [{ count: 0 }, { count: 1.5 }, { driver: "" }, { driver: " " }, { driver: 8 }, { driver: nil }, { length_mm: 0 },
     { length_mm: "8" }, { diameter_mm: -1 }, { turns: 0 }, { direction: "up" }, { kind: "nail" },
     { at: [[1, 2], [3, 4]] }, { at: [[1, 101]] }, { at: [[1]] }].each do |wrong|
      assert_raises(ArgumentError, wrong.to_s) { Sheets::Fastener.new(count: 1, driver: "T8", **wrong) }
    end
    assert Sheets::Fastener.new(count: 1, driver: "T8", at: [[0, 100]])
  end

  # Facts of the trade (common practice): a lock stays where it is, a screw and a clip ring come off.
  def test_what_can_be_lost
    loose = Sheets::Fastener::KINDS.keys.select { |kind| Sheets::Fastener.new(count: 1, kind: kind, driver: "x").loose? }

    assert_equal %w[clip_ring screw], loose.sort
    plain = { key: "s", name: "S" }

    refute_predicate Sheets::Step.new(**plain, fasteners: [Sheets::Fastener.new(count: 1, kind: "lug")]), :counted?
    [{ may_lift: ["gasket"] }, { connectors: ["plug"] }, { fasteners: [Sheets::Fastener.new(count: 1, driver: "T8")] }]
      .each { |lost| assert_predicate Sheets::Step.new(**plain, **lost), :counted? }
  end

  def test_the_shape_of_what_a_driver_turns
    shapes = { "T8" => :star, "long T10 driver" => :plain, "cross-head" => :cross, "PH1" => :cross, "slot 4" => :slot,
               "hex 3" => :hex, "H3" => :plain }

    assert_equal shapes, shapes.to_h { |driver, _| [driver, Sheets::Fastener.new(count: 1, driver: driver).shape] }
    assert_equal :slot, Sheets::Fastener.new(count: 1, kind: "coin_lock").shape
  end

  def test_minutes_of_a_step
    screws = Sheets::Fastener.new(count: 4, driver: "T8")

    assert_in_delta 3.0, Sheets::Step.new(key: "s", name: "S", fasteners: [screws]).minutes_to_open
    assert_equal 7, Sheets::Step.new(key: "s", name: "S", fasteners: [screws], minutes: 7).minutes_to_open
    assert_raises(ArgumentError) { Sheets::Step.new(key: "s", name: "S", minutes: 0) }
    assert_raises(ArgumentError) { Sheets::Step.new(key: "s", name: "S", outline: "star") }
  end
end
