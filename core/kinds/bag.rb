# frozen_string_literal: true

module UprightBench
  module Core
    module Kinds
      # A bag that collects the dust, and filters as it fills.
      Bag = Kind.new(
        key: :bag,
        states_in: nil, states: {},
        asked: {
          fill_percent: Findings::Fields::Measure.new(unit: "%", range: 0..100),
          burst: Findings::Fields::Flag.new
        },
        said_otherwise: [],
        read_by: Findings::ReadBag, ages: %i[bag_fill], tells: %i[bag_fill],
        cracked: :replace, wet: :clean,
        other_faults: [
          Faults::Fault.new(
            key: :full, observed: { fill_percent: 100 }, seen: 0.98, air: :blocked, shown_by: nil, behind_it: {},
            explains: { pulses: 8, weak_everywhere: 22, no_suction: 6, dirt_comes_back_out: 14, smells: 22,
                        dust_in_the_exhaust_air: 4 }
          ),
          Faults::Fault.new(
            key: :burst, observed: { burst: true }, seen: 0.95, air: :nothing, shown_by: nil,
            explains: { no_suction: 2, dust_in_the_exhaust_air: 14 },
            behind_it: { path: %i[partly blocked] }
          )
        ],
        resistance: 3.0, laminar: 0.3,
        cleaned: :emptied, slot: 2, trials: %w[lid],
        measures: %w[hours_a_bag change_at_percent hygiene_days],
        sides: %i[length_mm width_mm], told_apart_by: { "clip" => Kind::YES_NO, "seal" => %w[flat rimmed] },
        tolerance: Kind::Tolerance::LOOKS_ALIKE, traits: []
      )
    end
  end
end
