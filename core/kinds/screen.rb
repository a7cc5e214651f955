# frozen_string_literal: true

module UprightBench
  module Core
    module Kinds
      # A mesh or shroud between the bin and the filter.
      Screen = Kind.new(
        key: :screen,
        states_in: :state, states_label: "Screen",
        states: {
          "clear" => Kind::State::GOOD,
          "hair-wound" => Kind::State.new(verdict: :clean, wash_helps: true, fault: Faults::Fault.new(
            key: :wound, words: "wound with hair",
            seen: 0.95, air: :blocked, shown_by: nil,
            explains: { pulses: { any: 4, stick: 1 }, weak_everywhere: 5 },
            behind_it: {}
          )),
          "clogged" => Kind::State.new(verdict: :clean, wash_helps: true, fault: Faults::Fault.new(
            key: :clogged, words: "clogged",
            seen: 0.95, air: :blocked, shown_by: nil,
            explains: { pulses: { any: 4, stick: 2 }, weak_everywhere: 6, no_suction: 6 },
            behind_it: {}
          )),
          "torn" => Kind::State.new(verdict: :replace, wash_helps: false, fault: Faults::Fault.new(
            key: :torn, words: "torn",
            seen: 0.9, air: :nothing, shown_by: nil,
            explains: {},
            behind_it: {}
          ))
        },
        asked: {},
        said_otherwise: [],
        read_by: Findings::ReadState,
        ages: %i[state], tells: [],
        cracked: :replace, wet: :clean,
        look: Kind::Look.new(
          act: "Turn it against the light.",
          sign: "matted, wound with hair or torn", tool: nil
        ),
        other_faults: [],
        resistance: 1.5, laminar: 0.0,
        cleaned: :dusts, slot: 2,
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
