# frozen_string_literal: true

module UprightBench
  module Core
    module Kinds
      # A belt that drives a roll.
      Belt = Kind.new(
        key: :belt,
        states_in: nil, states: {},
        asked: {
          length_mm: Findings::Fields::Measure.new(unit: "mm", range: 50..3000),
          cracked: Findings::Fields::Flag.new
        },
        said_otherwise: [],
        read_by: Findings::ReadBelt, ages: %i[stretch], tells: [],
        cracked: :replace, wet: :clean,
        other_faults: [
          Faults::Fault.new(
            key: :broken, observed: { cracked: true }, seen: 0.97, air: :nothing, shown_by: nil,
            explains: { weak_on_the_floor: 5, brush_does_not_turn: 26, smells: 7, noise: 7 },
            behind_it: { roll: %i[stuck wound] }
          )
        ],
        resistance: 0.0, laminar: 0.0,
        cleaned: :along_the_air, slot: 1, trials: %w[roll-power],
        measures: %w[length_mm width_mm],
        sides: %i[length_mm width_mm], told_apart_by: { "toothed" => Kind::YES_NO },
        tolerance: Kind::Tolerance.new(length_share: 0.01, mm: 0.5, size_decides: true), traits: %i[never_wet]
      )
    end
  end
end
