# frozen_string_literal: true

module UprightBench
  module Core
    module Kinds
      # Teeth that take the hair off a roll.
      Comb = Kind.new(
        key: :comb,
        states_in: :state,
        states: {
          "whole" => Kind::State::GOOD,
          "hair-wound" => Kind::State.new(verdict: :clean, wash_helps: false, fault: Faults::Fault.new(
            key: :wound, seen: 0.95, air: :nothing, shown_by: nil, behind_it: {},
            explains: { brush_does_not_turn: 3 }
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
        cleaned: :cut_free, slot: 1, trials: [],
        measures: [],
        sides: Kind::SIDES, told_apart_by: {},
        tolerance: Kind::Tolerance::LOOKS_ALIKE, traits: %i[at_the_floor]
      )
    end
  end
end
