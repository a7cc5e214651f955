# frozen_string_literal: true

module UprightBench
  module Core
    module Kinds
      # A bin or cup that collects the dust and is emptied.
      Bin = Kind.new(
        key: :bin,
        states_in: nil, states: {},
        asked: {
          fill_percent: Findings::Fields::Measure.new(unit: "%", range: 0..100),
          cracked: Findings::Fields::Flag.new,
          haze: Findings::Fields::Flag.new
        },
        said_otherwise: [],
        read_by: Findings::ReadBin, ages: %i[bin_fill], tells: %i[bin_fill],
        cracked: :replace, wet: :clean,
        other_faults: [
          Faults::Fault.new(
            key: :full, observed: { fill_percent: 100 }, seen: 0.99, air: :blocked, shown_by: nil, behind_it: {},
            explains: { pulses: { any: 3, stick: 1 }, weak_everywhere: 10, no_suction: 4,
                        dirt_comes_back_out: 12, smells: 8 }
          ),
          Faults::Fault.new(
            key: :cracked, observed: { cracked: true }, seen: 0.8, air: :leak, shown_by: nil, behind_it: {},
            explains: { weak_everywhere: 1, dust_in_the_exhaust_air: 4, lid_or_bin_stiff: 5 }
          )
        ],
        resistance: 0.5, laminar: 0.0,
        cleaned: :emptied, slot: 3, trials: %w[lid],
        measures: [],
        sides: Kind::SIDES, told_apart_by: {},
        tolerance: Kind::Tolerance::LOOKS_ALIKE, traits: %i[some_are_washed]
      )
    end
  end
end
