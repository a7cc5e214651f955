# frozen_string_literal: true

module UprightBench
  module Core
    module Kinds
      # The pedal that switches a head between carpet and floor.
      Pedal = Kind.new(
        key: :pedal,
        states_in: :state,
        states: {
          "clicks" => Kind::State::GOOD,
          "stiff" => Kind::State.new(verdict: :clean, wash_helps: false, fault: Faults::Fault.new(
            key: :stiff, seen: 0.95, air: :nothing, shown_by: nil, behind_it: {},
            explains: { hard_to_push: 6 }
          )),
          "broken" => Kind::State.new(verdict: :replace, wash_helps: false, fault: Faults::Fault.new(
            key: :broken, seen: 0.95, air: :nothing, shown_by: nil, behind_it: {},
            explains: {}
          ))
        },
        asked: {}, said_otherwise: [],
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
