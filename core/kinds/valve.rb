# frozen_string_literal: true

module UprightBench
  module Core
    module Kinds
      # A slide or valve that lets air in beside the floor.
      Valve = Kind.new(
        key: :valve,
        states_in: :state,
        states: {
          "closes" => Kind::State::GOOD,
          "sticks" => Kind::State.new(verdict: :clean, wash_helps: false, fault: Faults::Fault.new(
            key: :sticks, seen: 0.9, air: :leak, shown_by: nil, behind_it: {},
            explains: { weak_on_the_floor: 5, weak_everywhere: 3 }
          )),
          "broken" => Kind::State.new(verdict: :replace, wash_helps: false, fault: nil)
        },
        asked: {}, said_otherwise: [],
        read_by: Findings::ReadState, ages: %i[state], tells: [],
        cracked: :replace, wet: :clean,
        other_faults: [],
        resistance: 0.0, laminar: 0.0,
        cleaned: :along_the_air, slot: 1, trials: [],
        measures: [],
        sides: Kind::SIDES, told_apart_by: {},
        tolerance: Kind::Tolerance::LOOKS_ALIKE, traits: []
      )
    end
  end
end
