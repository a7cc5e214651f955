# frozen_string_literal: true

require "json"
require_relative "../../core_helper"

# Whole look-overs, model by model: what was seen, the mark it gets, and the working order that follows.
# Common practice throughout; the limits are those of read_test.
class CasesTest < CoreTest
  CASES = {
    "a ferry's upright after a season" => {
      sheet: "ostrel-stride-36",
      seen: { "brush-front" => [{ standout_mm: 0 }, :replace], "brush-rear" => [{ standout_mm: 3 }, :leave],
              "belt" => [{ length_mm: 342 }, :replace],
              "clean-out-flap" => [{ state: "gapes" }, :clean], "neck" => [{ state: "clear" }, :leave],
              "hose" => [{ state: "blocked" }, :clean],
              "bag" => [{ fill_percent: 90 }, :replace], "bag-door-seal" => [{ state: "dirty" }, :clean],
              "tube-filter" => [{ grey: 5 }, :replace],
              "lead" => [{ state: "sound" }, :leave], "exhaust-filter" => [{ grey: 3 }, :clean] },
      order: %w[exhaust-filter clean-out-flap hose bag-door-seal belt tube-filter brush-front bag]
    },
    "an upright with a nicked lead" => {
      sheet: "ostrel-stride-36",
      seen: { "lead" => [{ state: "damaged" }, :refer], "bag" => [{ fill_percent: 20 }, :leave],
              "brush-rear" => [{ standout_mm: -1 }, :replace] },
      order: %w[lead brush-rear]
    },
    "a canister whose cassette has run its strip" => {
      sheet: "brackwater-loft-k",
      seen: { "tool-neck" => [{ state: "partly" }, :clean], "wand" => [{ state: "clear" }, :leave],
              "bag" => [{ burst: true }, :replace],
              "lid-seal" => [{ state: "lifted" }, :clean], "motor-filter" => [{ grey: 4 }, :leave],
              "exhaust-filter" => [{ grey: 2, indicator_percent: 100 }, :replace] },
      order: %w[tool-neck lid-seal bag exhaust-filter]
    },
    "a canister that smells" => {
      sheet: "brackwater-loft-k",
      seen: { "exhaust-filter" => [{ smell: true }, :replace], "bag" => [{ fill_percent: 50 }, :replace],
              "motor-filter" => [{ torn: true }, :replace] },
      order: %w[motor-filter bag exhaust-filter]
    },
    "a stick that pulses" => {
      sheet: "hallmoor-dart-m",
      seen: { "roll" => [{ turns: "drags" }, :clean], "contacts" => [{ state: "dirty" }, :clean],
              "bin" => [{ fill_percent: 80 }, :clean],
              "bin-seal" => [{ state: "torn" }, :replace], "pre-filter" => [{ grey: 5 }, :wash],
              "post-filter" => [{ grey: 3, smell: true }, :wash],
              "battery" => [{ state: "sound" }, :leave], "screen" => [{ state: "clear" }, :leave] },
      order: %w[bin roll post-filter pre-filter contacts bin-seal]
    },
    "a stick whose pack has swollen" => {
      sheet: "hallmoor-dart-m",
      seen: { "battery" => [{ state: "swollen" }, :refer], "contacts" => [{ state: "burnt" }, :refer],
              "pre-filter" => [{ grey: 0 }, :leave] },
      order: %w[contacts battery]
    },
    "a cup machine with a thrown belt" => {
      sheet: "ostrel-stride-40-cup",
      seen: { "roll" => [{ turns: "stuck", bristles: "full" }, :clean],
              "belt" => [{ length_mm: 334, cracked: true }, :replace], "hood" => [{ state: "cracked" }, :replace],
              "vents" => [{ state: "dusty" }, :clean], "wheels" => [{ state: "turn" }, :leave],
              "cup" => [{ fill_percent: 66 }, :clean],
              "screen" => [{ state: "hair-wound" }, :clean], "cup-filter" => [{ grey: 5 }, :wash],
              "motor" => [{ state: "high-pitched" }, :leave],
              "lead" => [{ state: "sound" }, :leave], "exhaust-filter" => [{ grey: 5 }, :replace] },
      order: %w[cup vents screen roll cup-filter belt hood exhaust-filter]
    },
    "a guesthouse's canister, cassette loose" => {
      sheet: "brackwater-loft-c",
      seen: { "tool-strips" => [{ state: "worn" }, :replace], "hose" => [{ state: "clear" }, :leave],
              "bag" => [{ fill_percent: 49 }, :leave],
              "exhaust-filter" => [{ loose: true }, :clean], "motor" => [{ state: "even" }, :leave],
              "lead" => [{ state: "sound" }, :leave] },
      order: %w[exhaust-filter tool-strips]
    },
    "a small stick that has grown tired" => {
      sheet: "hallmoor-dart-s",
      seen: { "roll" => [{ turns: "drags" }, :clean], "bin" => [{ haze: true }, :leave],
              "pre-filter" => [{ grey: 3 }, :wash], "contacts" => [{ state: "bright" }, :leave],
              "battery" => [{ state: "sound", run_minutes: 11 }, :replace], "dock" => [{ state: "loose" }, :clean] },
      order: %w[roll pre-filter dock battery]
    },
    "a large stick whose lid binds" => {
      sheet: "hallmoor-dart-l",
      seen: { "mini-roll" => [{ turns: "free", bristles: "missing" }, :replace], "roll" => [{ turns: "free" }, :leave],
              "window" => [{ state: "dirty" }, :clean],
              "wheels" => [{ state: "drag" }, :clean], "inlet-flap" => [{ state: "jammed" }, :clean],
              "inner-lid-seal" => [{ state: "binds" }, :clean],
              "outer-lid-seal" => [{ state: "clean" }, :leave], "screen" => [{ state: "clogged" }, :clean],
              "cyclone" => [{ state: "packed" }, :wash], "comb" => [{ state: "hair-wound" }, :clean],
              "mini-contacts" => [{ state: "bright" }, :leave],
              "battery" => [{ run_minutes: 24, run_minutes_full: 6 }, :leave], "filter" => [{ damp: true }, :wash],
              "seat-sensor" => [{ state: "silent" }, :clean] },
      order: %w[screen comb wheels cyclone filter window inlet-flap inner-lid-seal seat-sensor mini-roll]
    },
    "a slim stick, neglected" => {
      sheet: "maristo-reed",
      seen: { "roll" => [{ turns: "stuck" }, :clean], "neck" => [{ state: "blocked" }, :clean],
              "mesh" => [{ state: "clogged" }, :wash],
              "separator" => [{ state: "dusty" }, :clean], "post-filter" => [{ grey: 4, after_wash: true }, :replace],
              "battery" => [{ charging: "flashes red" }, :clean] },
      order: %w[separator roll mesh neck battery post-filter]
    },
    "a stick with two rolls, after a hairy summer" => {
      sheet: "maristo-reed-duo",
      seen: { "mini-roll" => [{ turns: "free" }, :leave], "mini-contacts" => [{ state: "dirty" }, :clean],
              "front-roll" => [{ turns: "free", dirty: true }, :wash], "rear-roll" => [{ turns: "drags" }, :clean],
              "comb" => [{ state: "broken" }, :replace], "mesh" => [{ state: "hair-wound" }, :wash],
              "separator-gasket" => [{ state: "lifted" }, :clean], "post-filter" => [{ grey: 3 }, :wash] },
      order: %w[rear-roll front-roll post-filter mesh mini-contacts separator-gasket comb]
    },
    "an upright whose rear roll shows a fault" => {
      sheet: "maristo-twinroll",
      seen: { "front-roll" => [{ turns: "drags", light: "shows a fault" }, :clean],
              "rear-roll" => [{ turns: "free", light: "shows a fault" }, :refer],
              "vents" => [{ state: "blocked" }, :clean], "felt" => [{ grey: 5 }, :wash],
              "foam" => [{ grey: 2 }, :clean], "exhaust-filter" => [{ grey: 2 }, :clean] },
      order: %w[rear-roll vents foam exhaust-filter front-roll felt]
    },
    "a stick with a wet filter box" => {
      sheet: "tolliver-wick",
      seen: { "roll" => [{ light: "shows a fault" }, :clean], "wipers" => [{ state: "worn" }, :replace],
              "mesh" => [{ grey: 3 }, :wash], "cone" => [{ smell: true }, :wash],
              "box" => [{ damp: true }, :replace], "exhaust-filter" => [{ grey: 1 }, :clean],
              "battery" => [{ state: "sound", charging: "steady" }, :leave] },
      order: %w[exhaust-filter roll cone mesh wipers box]
    },
    "a robot back from a dusty month" => {
      sheet: "tolliver-rove-q",
      seen: { "main-brush" => [{ turns: "drags" }, :clean], "side-brush-left" => [{ state: "bent" }, :replace],
              "side-brush-right" => [{ state: "straight" }, :leave],
              "wheels" => [{ state: "drag" }, :clean],
              "mop-pad" => [{ state: "dirty" }, :wash], "window" => [{ state: "dirty" }, :clean],
              "bin" => [{ fill_percent: 90 }, :clean], "mesh" => [{ grey: 3 }, :wash],
              "foam" => [{ grey: 4 }, :wash], "pleat" => [{ grey: 5 }, :replace],
              "clean-tank" => [{ state: "clean" }, :leave], "dirty-tank" => [{ state: "gapes" }, :clean],
              "dock-bag" => [{ fill_percent: 89 }, :leave], "dock-seal" => [{ state: "dirty" }, :clean] },
      order: %w[bin dirty-tank main-brush wheels foam mop-pad mesh window dock-seal side-brush-left pleat]
    },
    "a plain upright whose exhaust filter was washed" => {
      sheet: "corvane-plain-2",
      seen: { "belt" => [{ length_mm: 306.9 }, :leave], "wheel-tray" => [{ state: "broken" }, :replace],
              "lower-hose" => [{ state: "partly" }, :clean],
              "foam" => [{ grey: 5, torn: true }, :replace], "exhaust-filter" => [{ damp: true }, :replace],
              "motor" => [{ state: "rough" }, :refer] },
      order: %w[motor lower-hose wheel-tray foam exhaust-filter]
    },
    "a drum after two thousand hours" => {
      sheet: "corvane-drum-30",
      seen: { "bag" => [{ fill_percent: 50 }, :replace], "lid-seal" => [{ state: "dirty" }, :clean],
              "tool-pedal" => [{ state: "stiff" }, :clean], "bleed-valve" => [{ state: "broken" }, :replace],
              "textile-filter" => [{ grey: 3 }, :wash],
              "carbon" => [{ length_mm: 11 }, :replace], "exhaust-filter" => [{ grey: 0 }, :leave],
              "lead" => [{ state: "sound" }, :leave] },
      order: %w[textile-filter tool-pedal lid-seal bleed-valve bag carbon]
    },
    "a drum that sparks" => {
      sheet: "corvane-drum-30",
      seen: { "carbon" => [{ length_mm: 20, sparks: true }, :refer], "motor" => [{ state: "burnt smell" }, :refer],
              "hose" => [{ state: "clear" }, :leave] },
      order: %w[motor carbon]
    }
  }.freeze

  def test_every_model_of_the_demo_has_a_case
    files = Dir[File.join(CoreAlone::ROOT, "demo/sheets/*.json")].map { |file| File.basename(file, ".json") }

    assert_empty files - CASES.values.map { |one| one[:sheet] }
  end

  CASES.each do |name, one|
    define_method(:"test_#{name.tr(" '", '_')}") do
      sheet = Sheets::Parse.new(JSON.parse(File.read(File.join(CoreAlone::ROOT, "demo/sheets/#{one[:sheet]}.json"))))
        .call
      verdicts = one[:seen].to_h do |key, (observed, _)|
        [key, Findings::Read.new(position: sheet.position(key), observed: observed).call]
      end

      assert_equal one[:seen].transform_values(&:last), verdicts.transform_values(&:kind)
      assert_equal one[:order], Work::Plan.new(sheet: sheet, findings: verdicts).call.map(&:position)
    end
  end
end
