# frozen_string_literal: true

module UprightBench
  module Core
    module Kinds
      # Where a robot charges and is emptied.
      Dock = Kind.new(
        key: :dock,
        states_in: :state, states_label: "Dock",
        states: {
          "firm" => Kind::State::GOOD,
          "dusty" => Kind::State.new(verdict: :clean, wash_helps: false, fault: Faults::Fault.new(
            key: :dusty, words: "dusty",
            seen: 0.95, air: :nothing, shown_by: nil,
            explains: { short_run_time: 6 },
            behind_it: {}
          )),
          "loose" => Kind::State.new(verdict: :clean, wash_helps: false, fault: Faults::Fault.new(
            key: :loose, words: "loose",
            seen: 0.95, air: :nothing, shown_by: nil,
            explains: { short_run_time: 4 },
            behind_it: {}
          ))
        },
        asked: {},
        said_otherwise: [],
        read_by: Findings::ReadState,
        ages: %i[state], tells: [],
        cracked: :replace, wet: :clean,
        look: Kind::Look.new(
          act: "Move it, and look at its openings.",
          sign: "loose, or dust across them", tool: nil
        ),
        other_faults: [],
        resistance: 0.0, laminar: 0.0,
        cleaned: :along_the_air, slot: 3,
        trials: %w[dock-dust],
        measures: {},
        sides: %i[length_mm width_mm diameter_mm],
        told_apart_by: {},
        tolerance: Kind::Tolerance::LOOKS_ALIKE,
        traits: []
      )
    end
  end
end
