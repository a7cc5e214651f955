# frozen_string_literal: true

module UprightBench
  module Core
    module Kinds
      # A tank for clean or dirty water, and its lid.
      Tank = Kind.new(
        key: :tank,
        states_in: :state,
        states: {
          "clean" => Kind::State::GOOD,
          "dirty" => Kind::State.new(verdict: :clean, wash_helps: true, fault: Faults::Fault.new(
            key: :dirty, seen: 0.95, air: :nothing, shown_by: nil, behind_it: {},
            explains: { smells: 20, lid_or_bin_stiff: 5 }
          )),
          "gapes" => Kind::State.new(verdict: :clean, wash_helps: false, fault: Faults::Fault.new(
            key: :gapes, seen: 0.9, air: :leak, shown_by: nil, behind_it: {},
            explains: { no_suction: 3 }
          )),
          "leaks" => Kind::State.new(verdict: :replace, wash_helps: false, fault: nil)
        },
        asked: {}, said_otherwise: %i[dirty],
        read_by: Findings::ReadState, ages: %i[state], tells: [],
        cracked: :replace, wet: :clean,
        other_faults: [],
        resistance: 0.0, laminar: 0.0,
        cleaned: :emptied, slot: 3, trials: [],
        measures: [],
        sides: Kind::SIDES, told_apart_by: {},
        tolerance: Kind::Tolerance::LOOKS_ALIKE, traits: []
      )
    end
  end
end
