# frozen_string_literal: true

module UprightBench
  module Core
    module Kinds
      # A pad or cloth that wipes.
      Pad = Kind.new(
        key: :pad,
        states_in: :state, states_label: "Pad",
        states: {
          "clean" => Kind::State::GOOD,
          "dirty" => Kind::State.new(verdict: :clean, wash_helps: true, fault: Faults::Fault.new(
            key: :dirty, words: "dirty",
            seen: 0.97, air: :nothing, shown_by: nil,
            explains: { smells: 8 },
            behind_it: {}
          )),
          "worn" => Kind::State.new(verdict: :replace, wash_helps: false, fault: nil)
        },
        asked: {},
        said_otherwise: %i[dirty],
        read_by: Findings::ReadState,
        ages: %i[state], tells: [],
        cracked: :replace, wet: :clean,
        look: Kind::Look.new(
          act: "Look at it and smell it.",
          sign: "dirty", tool: nil
        ),
        other_faults: [],
        resistance: 0.0, laminar: 0.0,
        cleaned: :along_the_air, slot: 2,
        trials: [],
        measures: {},
        sides: %i[length_mm width_mm diameter_mm],
        told_apart_by: {},
        tolerance: Kind::Tolerance::LOOKS_ALIKE,
        traits: []
      )
    end
  end
end
