# frozen_string_literal: true

module UprightBench
  module Core
    module Kinds
      # The carbon brushes of a motor.
      Carbon = Kind.new(
        key: :carbon,
        states_in: nil, states: {},
        asked: {
          length_mm: Findings::Fields::Measure.new(unit: "mm", range: 0..60),
          sparks: Findings::Fields::Flag.new
        },
        said_otherwise: [],
        read_by: Findings::ReadCarbon, ages: %i[carbon_left], tells: [],
        cracked: :replace, wet: Kind::STOP,
        other_faults: [
          Faults::Fault.new(
            key: :sparks, observed: { sparks: true }, seen: 0.85, air: :fan, shown_by: nil,
            explains: { weak_everywhere: 3, smells: 2, noise: 4 },
            behind_it: { filter: %i[loose torn] }
          )
        ],
        resistance: 0.0, laminar: 0.0,
        cleaned: :along_the_air, slot: 1, trials: [],
        measures: %w[new_length_mm least_length_mm],
        sides: %i[length_mm width_mm], told_apart_by: {},
        tolerance: Kind::Tolerance::LOOKS_ALIKE, traits: %i[never_wet one_by_one moves_the_air live in_the_motor_head]
      )
    end
  end
end
