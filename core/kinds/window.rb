# frozen_string_literal: true

module UprightBench
  module Core
    module Kinds
      # A clear cover over the head, or over what is inside.
      Window = Kind.new(
        key: :window,
        states_in: :state, states_label: "Window",
        states: {
          "clear" => Kind::State::GOOD,
          "dirty" => Kind::State.new(verdict: :clean, wash_helps: true, fault: nil),
          "cracked" => Kind::State.new(verdict: :replace, wash_helps: false, fault: Faults::Fault.new(
            key: :cracked, words: "cracked",
            seen: 0.95, air: :leak, shown_by: nil,
            explains: { weak_on_the_floor: 3 },
            behind_it: {}
          ))
        },
        asked: {},
        said_otherwise: %i[cracked dirty],
        read_by: Findings::ReadState,
        ages: %i[state], tells: [],
        cracked: :replace, wet: :clean,
        look: Kind::Look.new(
          act: "Press it, and look along its edge.",
          sign: "a crack", tool: nil
        ),
        other_faults: [],
        resistance: 0.0, laminar: 0.0,
        cleaned: :along_the_air, slot: 1,
        trials: [],
        measures: {},
        sides: %i[length_mm width_mm diameter_mm],
        told_apart_by: {},
        tolerance: Kind::Tolerance::LOOKS_ALIKE,
        traits: %i[at_the_floor]
      )
    end
  end
end
