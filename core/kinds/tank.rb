# frozen_string_literal: true

module UprightBench
  module Core
    module Kinds
      # A tank for clean or dirty water, and its lid.
      Tank = Kind.new(
        key: :tank,
        states_in: :state, states_label: "Tank",
        states: {
          "clean" => Kind::State::GOOD,
          "dirty" => Kind::State.new(verdict: :clean, wash_helps: true, fault: Faults::Fault.new(
            key: :dirty, words: "dirty",
            seen: 0.95, air: :nothing, shown_by: nil,
            explains: { smells: 20, lid_or_bin_stiff: 5 },
            behind_it: {}
          )),
          "gapes" => Kind::State.new(verdict: :clean, wash_helps: false, fault: Faults::Fault.new(
            key: :gapes, words: "does not close",
            seen: 0.9, air: :leak, shown_by: nil,
            explains: { no_suction: 3 },
            behind_it: {}
          )),
          "leaks" => Kind::State.new(verdict: :replace, wash_helps: false, fault: nil)
        },
        asked: {},
        said_otherwise: %i[dirty],
        read_by: Findings::ReadState,
        ages: %i[state], tells: [],
        cracked: :replace, wet: :clean,
        look: Kind::Look.new(
          act: "Fill it, and turn it over the sink.",
          sign: "it drips, or does not close", tool: nil
        ),
        other_faults: [],
        resistance: 0.0, laminar: 0.0,
        cleaned: :emptied, slot: 3,
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
