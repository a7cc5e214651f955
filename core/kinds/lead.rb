# frozen_string_literal: true

module UprightBench
  module Core
    module Kinds
      # The mains lead and its plug.
      Lead = Kind.new(
        key: :lead,
        states_in: :state,
        states: {
          "sound" => Kind::State::GOOD,
          "damaged" => Kind::State.new(verdict: Kind::STOP, wash_helps: false, fault: Faults::Fault.new(
            key: :damaged, seen: 0.9, air: :nothing, shown_by: nil, behind_it: {},
            explains: {}
          ))
        },
        asked: {}, said_otherwise: [],
        read_by: Findings::ReadState, ages: %i[state], tells: [],
        cracked: Kind::STOP, wet: Kind::STOP,
        other_faults: [],
        resistance: 0.0, laminar: 0.0,
        cleaned: :along_the_air, slot: 1, trials: [],
        measures: [],
        sides: Kind::SIDES, told_apart_by: {},
        tolerance: Kind::Tolerance::LOOKS_ALIKE, traits: %i[never_wet one_by_one live]
      )
    end
  end
end
