# frozen_string_literal: true

module UprightBench
  module Core
    module Kinds
      # A pad or cloth that wipes.
      Pad = Kind.new(
        key: :pad,
        states_in: :state,
        states: {
          "clean" => Kind::State::GOOD,
          "dirty" => Kind::State.new(verdict: :clean, wash_helps: true, fault: Faults::Fault.new(
            key: :dirty, seen: 0.97, air: :nothing, shown_by: nil, behind_it: {},
            explains: { smells: 8 }
          )),
          "worn" => Kind::State.new(verdict: :replace, wash_helps: false, fault: nil)
        },
        asked: {}, said_otherwise: %i[dirty],
        read_by: Findings::ReadState, ages: %i[state], tells: [],
        cracked: :replace, wet: :clean,
        other_faults: [],
        resistance: 0.0, laminar: 0.0,
        cleaned: :along_the_air, slot: 2, trials: [],
        measures: [],
        sides: Kind::SIDES, told_apart_by: {},
        tolerance: Kind::Tolerance::LOOKS_ALIKE, traits: []
      )
    end
  end
end
