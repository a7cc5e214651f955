# frozen_string_literal: true

require "json"
require_relative "../../core_helper"

# Whole look-overs, model by model: what was seen, the mark it gets, and the working order that follows.
# Common practice throughout; the limits are those of read_test.
class CasesTest < CoreTest
  CASES = {
    "a ferry's upright after a season" => {
      sheet: "ostrel-stride-36",
      seen: { "brush-front" => [{ standout_mm: 0 }, :replace], "brush-rear" => [{ standout_mm: 3 }, :leave], "belt" => [{ length_mm: 342 }, :replace],
              "clean-out-flap" => [{ state: "gapes" }, :clean], "neck" => [{ state: "clear" }, :leave], "hose" => [{ state: "blocked" }, :clean],
              "bag" => [{ fill_percent: 90 }, :replace], "bag-door-seal" => [{ state: "dirty" }, :clean], "tube-filter" => [{ grey: 5 }, :replace],
              "lead" => [{ state: "sound" }, :leave], "exhaust-filter" => [{ grey: 3 }, :clean] },
      order: %w[bag brush-front belt clean-out-flap hose bag-door-seal tube-filter exhaust-filter]
    },
    "an upright with a nicked lead" => {
      sheet: "ostrel-stride-36",
      seen: { "lead" => [{ state: "damaged" }, :refer], "bag" => [{ fill_percent: 20 }, :leave], "brush-rear" => [{ standout_mm: -1 }, :replace] },
      order: %w[lead brush-rear]
    },
    "a canister whose cassette has run its strip" => {
      sheet: "brackwater-loft-k",
      seen: { "tool-neck" => [{ state: "partly" }, :clean], "wand" => [{ state: "clear" }, :leave], "bag" => [{ burst: true }, :replace],
              "lid-seal" => [{ state: "lifted" }, :clean], "motor-filter" => [{ grey: 4 }, :leave], "exhaust-filter" => [{ grey: 2, indicator_percent: 100 }, :replace] },
      order: %w[bag tool-neck lid-seal exhaust-filter]
    },
    "a canister that smells" => {
      sheet: "brackwater-loft-k",
      seen: { "exhaust-filter" => [{ smell: true }, :replace], "bag" => [{ fill_percent: 50 }, :replace], "motor-filter" => [{ torn: true }, :replace] },
      order: %w[bag motor-filter exhaust-filter]
    },
    "a stick that pulses" => {
      sheet: "hallmoor-dart-m",
      seen: { "roll" => [{ turns: "drags" }, :clean], "contacts" => [{ state: "dirty" }, :clean], "bin" => [{ fill_percent: 80 }, :clean],
              "bin-seal" => [{ state: "torn" }, :replace], "pre-filter" => [{ grey: 5 }, :wash], "post-filter" => [{ grey: 3, smell: true }, :wash],
              "battery" => [{ state: "sound" }, :leave], "screen" => [{ state: "clear" }, :leave] },
      order: %w[bin post-filter pre-filter roll contacts bin-seal]
    },
    "a stick whose pack has swollen" => {
      sheet: "hallmoor-dart-m",
      seen: { "battery" => [{ state: "swollen" }, :refer], "contacts" => [{ state: "burnt" }, :refer], "pre-filter" => [{ grey: 0 }, :leave] },
      order: %w[contacts battery]
    }
  }.freeze

  CASES.each do |name, one|
    define_method(:"test_#{name.tr(" '", '_')}") do
      sheet = Sheets::Parse.new(JSON.parse(File.read(File.join(CoreAlone::ROOT, "demo/sheets/#{one[:sheet]}.json")))).call
      verdicts = one[:seen].to_h { |key, (observed, _)| [key, Findings::Read.new(position: sheet.position(key), observed: observed).call] }

      assert_equal one[:seen].transform_values(&:last), verdicts.transform_values(&:mark)
      assert_equal one[:order], Work::Plan.new(sheet: sheet, findings: verdicts).call.map(&:position)
    end
  end
end
