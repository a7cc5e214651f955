# frozen_string_literal: true

module UprightBench
  module Core
    module Kinds
      # Paper, fleece, foam or mesh that holds back what the bin or bag lets through.
      Filter = Kind.new(
        key: :filter,
        states_in: nil, states_label: nil, states: {},
        asked: {
          grey: Findings::Fields::Scale.new(label: "Grey", options: (0..5).to_a,
            words_of: { 0 => "white", 5 => "as dark as the reference" }),
          torn: Findings::Fields::Flag.new(label: "Torn or out of shape"),
          smell: Findings::Fields::Flag.new(label: "Smells"),
          damp: Findings::Fields::Flag.new(label: "Damp"),
          loose: Findings::Fields::Flag.new(label: "Loose, or not locked"),
          after_wash: Findings::Fields::Flag.new(label: "Already washed today"),
          indicator_percent: Findings::Fields::Measure.new(label: "Indicator", unit: "%", range: 0..100,
            needs: "indicator")
        },
        said_otherwise: %i[wet],
        read_by: Findings::ReadFilter,
        ages: %i[grey indicator], tells: %i[indicator grey],
        cracked: :replace, wet: :clean,
        look: Kind::Look.new(
          act: "Take it out. Hold it to the light, feel it, smell it, and look how it sat.",
          sign: "dark or matted, damp, torn, loose or missing", tool: nil
        ),
        other_faults: [
          Faults::Fault.new(
            key: :full, words: "clogged", observed: { grey: 5 },
            seen: 0.95, air: :blocked, shown_by: :leaving_it_out,
            explains: { pulses: { any: 60, stick: 150 }, weak_on_the_floor: 6,
                        weak_everywhere: { any: 34, stick: 42 }, no_suction: 14, smells: 22, short_run_time: 24,
                        noise: 10 },
            behind_it: { cyclone: %i[packed], screen: %i[torn], bin: %i[full], bag: %i[full burst],
                         seal: %i[lifted torn] }
          ),
          Faults::Fault.new(
            key: :damp, words: "damp", observed: { damp: true },
            seen: 0.9, air: :blocked, shown_by: :leaving_it_out,
            explains: { pulses: { any: 4, stick: 5 }, weak_everywhere: 2, smells: 26 },
            behind_it: {}
          ),
          Faults::Fault.new(
            key: :torn, words: "torn or out of shape", observed: { torn: true },
            seen: 0.9, air: :leak, shown_by: nil,
            explains: { dust_in_the_exhaust_air: 26 },
            behind_it: {}
          ),
          Faults::Fault.new(
            key: :loose, words: "missing, loose or not locked", observed: { loose: true },
            seen: 0.95, air: :leak, shown_by: nil,
            explains: { pulses: { any: 3, stick: 2 }, dust_in_the_exhaust_air: 34, noise: 16 },
            behind_it: {}
          )
        ],
        resistance: 3.0, laminar: 0.5,
        cleaned: :dusts, slot: 1,
        trials: %w[filters],
        measures: {
          "length_mm" => "Length, mm",
          "width_mm" => "Width, mm",
          "diameter_mm" => "Diameter, mm"
        },
        sides: %i[length_mm width_mm diameter_mm],
        told_apart_by: {
          "clip" => [true, false],
          "frame" => [true, false],
          "twist_lock" => [true, false],
          "first_side" => %w[left right],
          "seal" => %w[flat rimmed]
        },
        tolerance: Kind::Tolerance.new(length_share: nil, mm: 1.0, size_decides: true),
        traits: %i[some_are_washed]
      )
    end
  end
end
