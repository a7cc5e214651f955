# frozen_string_literal: true

module UprightBench
  module Core
    module Kinds
      # A bin or cup that collects the dust and is emptied.
      Bin = Kind.new(
        key: :bin,
        states_in: nil, states_label: nil, states: {},
        asked: {
          fill_percent: Findings::Fields::Measure.new(label: "Full", unit: "%", range: 0..100),
          cracked: Findings::Fields::Flag.new(label: "Cracked"),
          haze: Findings::Fields::Flag.new(label: "Hazed by fine scratches")
        },
        said_otherwise: [],
        read_by: Findings::ReadBin,
        ages: %i[bin_fill], tells: %i[bin_fill],
        cracked: :replace, wet: :clean,
        look: Kind::Look.new(
          act: "Look at the line, and run a finger along the rim.",
          sign: "full above its line, or a crack", tool: nil
        ),
        other_faults: [
          Faults::Fault.new(
            key: :full, words: "full", observed: { fill_percent: 100 },
            seen: 0.99, air: :blocked, shown_by: nil,
            explains: { pulses: { any: 3, stick: 1 }, weak_everywhere: 10, no_suction: 4,
                        dirt_comes_back_out: 12, smells: 8 },
            behind_it: {}
          ),
          Faults::Fault.new(
            key: :cracked, words: "cracked", observed: { cracked: true },
            seen: 0.8, air: :leak, shown_by: nil,
            explains: { weak_everywhere: 1, dust_in_the_exhaust_air: 4, lid_or_bin_stiff: 5 },
            behind_it: {}
          )
        ],
        resistance: 0.5, laminar: 0.0,
        cleaned: :emptied, slot: 3,
        trials: %w[lid],
        measures: {},
        sides: %i[length_mm width_mm diameter_mm],
        told_apart_by: {},
        tolerance: Kind::Tolerance::LOOKS_ALIKE,
        traits: %i[some_are_washed]
      )
    end
  end
end
