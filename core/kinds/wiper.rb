# frozen_string_literal: true

module UprightBench
  module Core
    module Kinds
      # A strip of rubber or felt that seals the head to a hard floor.
      Wiper = Kind.new(
        key: :wiper,
        states_in: :state,
        states: {
          "supple" => Kind::State::GOOD,
          "dirty" => Kind::State.new(verdict: :clean, wash_helps: true, fault: Faults::Fault.new(
            key: :dirty, seen: 0.95, air: :nothing, shown_by: nil, behind_it: {},
            explains: { hard_to_push: 6 }
          )),
          "worn" => Kind::State.new(verdict: :replace, wash_helps: false, fault: Faults::Fault.new(
            key: :worn, seen: 0.9, air: :nothing, shown_by: nil, behind_it: {},
            explains: { weak_on_the_floor: 8, hard_to_push: 4, dirt_comes_back_out: 5 }
          ))
        },
        asked: {}, said_otherwise: %i[dirty],
        read_by: Findings::ReadState, ages: %i[state], tells: [],
        cracked: :replace, wet: :clean,
        other_faults: [],
        resistance: 0.5, laminar: 0.0,
        cleaned: :along_the_air, slot: 1, trials: [],
        measures: [],
        sides: Kind::SIDES, told_apart_by: {},
        tolerance: Kind::Tolerance::LOOKS_ALIKE, traits: %i[at_the_floor]
      )
    end
  end
end
