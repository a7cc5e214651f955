# frozen_string_literal: true

module UprightBench
  module Core
    module Kinds
      # Cones that spin the dust out of the air.
      Cyclone = Kind.new(
        key: :cyclone,
        states_in: :state,
        states: {
          "clear" => Kind::State::GOOD,
          "dusty" => Kind::State.new(verdict: :clean, wash_helps: true, fault: nil),
          "packed" => Kind::State.new(verdict: :clean, wash_helps: true, fault: Faults::Fault.new(
            key: :packed, seen: 0.9, air: :blocked, shown_by: nil,
            explains: { weak_everywhere: 3, no_suction: 2, smells: 3, dust_in_the_exhaust_air: 2 },
            behind_it: { bin: %i[full], seal: %i[lifted torn] }
          ))
        },
        asked: {}, said_otherwise: [],
        read_by: Findings::ReadState, ages: %i[state], tells: [],
        cracked: :replace, wet: :clean,
        other_faults: [],
        resistance: 2.0, laminar: 0.0,
        cleaned: :dusts, slot: 2, trials: [],
        measures: [],
        sides: Kind::SIDES, told_apart_by: {},
        tolerance: Kind::Tolerance::LOOKS_ALIKE, traits: []
      )
    end
  end
end
