# frozen_string_literal: true

module UprightBench
  module Core
    module Kinds
      # A brush strip that stands still between its guide bars.
      Brush = Kind.new(
        key: :brush,
        states_in: nil, states: {},
        asked: {
          standout_mm: Findings::Fields::Measure.new(unit: "mm", range: -5..40),
          gaps: Findings::Fields::Flag.new
        },
        said_otherwise: [],
        read_by: Findings::ReadBrush, ages: %i[standout], tells: %i[standout],
        cracked: :replace, wet: :clean,
        other_faults: [
          Faults::Fault.new(
            key: :flush, observed: { standout_mm: 0 }, seen: 0.97, air: :nothing, shown_by: nil, behind_it: {},
            explains: { weak_on_the_floor: 18, hard_to_push: 5, dirt_comes_back_out: 14 }
          ),
          Faults::Fault.new(
            key: :gaps, observed: { gaps: true }, seen: 0.95, air: :nothing, shown_by: nil, behind_it: {},
            explains: {}
          )
        ],
        resistance: 1.0, laminar: 0.0,
        cleaned: :cut_free, slot: 2, trials: %w[roll-power],
        measures: %w[new_standout_mm dial_settings],
        sides: %i[length_mm width_mm], told_apart_by: { "strip" => %w[front rear] },
        tolerance: Kind::Tolerance::LOOKS_ALIKE, traits: %i[at_the_floor]
      )
    end
  end
end
