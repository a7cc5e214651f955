# frozen_string_literal: true

module UprightBench
  module Core
    module Kinds
      # A clear cover over the head, or over what is inside.
      Window = Kind.new(
        key: :window,
        states_in: :state,
        states: {
          "clear" => Kind::State::GOOD,
          "dirty" => Kind::State.new(verdict: :clean, wash_helps: true, fault: nil),
          "cracked" => Kind::State.new(verdict: :replace, wash_helps: false, fault: Faults::Fault.new(
            key: :cracked, seen: 0.95, air: :leak, shown_by: nil, behind_it: {},
            explains: { weak_on_the_floor: 3 }
          ))
        },
        asked: {}, said_otherwise: %i[cracked dirty],
        read_by: Findings::ReadState, ages: %i[state], tells: [],
        cracked: :replace, wet: :clean,
        other_faults: [],
        resistance: 0.0, laminar: 0.0,
        cleaned: :along_the_air, slot: 1, trials: [],
        measures: [],
        sides: Kind::SIDES, told_apart_by: {},
        tolerance: Kind::Tolerance::LOOKS_ALIKE, traits: %i[at_the_floor]
      )
    end
  end
end
