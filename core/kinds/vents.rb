# frozen_string_literal: true

module UprightBench
  module Core
    module Kinds
      # Openings that let air in at the sole.
      Vents = Kind.new(
        key: :vents,
        states_in: :state,
        states: {
          "open" => Kind::State::GOOD,
          "dusty" => Kind::State.new(verdict: :clean, wash_helps: false, fault: nil),
          "blocked" => Kind::State.new(verdict: :clean, wash_helps: false, fault: Faults::Fault.new(
            key: :blocked, seen: 0.95, air: :nothing, shown_by: nil, behind_it: {},
            explains: { weak_on_the_floor: 4 }
          ))
        },
        asked: {}, said_otherwise: [],
        read_by: Findings::ReadState, ages: %i[state], tells: [],
        cracked: :replace, wet: :clean,
        other_faults: [],
        resistance: 0.5, laminar: 0.0,
        cleaned: :dusts, slot: 1, trials: [],
        measures: [],
        sides: Kind::SIDES, told_apart_by: {},
        tolerance: Kind::Tolerance::LOOKS_ALIKE, traits: %i[at_the_floor]
      )
    end
  end
end
