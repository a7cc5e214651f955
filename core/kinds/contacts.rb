# frozen_string_literal: true

module UprightBench
  module Core
    module Kinds
      # Metal contacts that carry current from part to part, or to the charger.
      Contacts = Kind.new(
        key: :contacts,
        states_in: :state,
        states: {
          "bright" => Kind::State::GOOD,
          "dirty" => Kind::State.new(verdict: :clean, wash_helps: false, fault: Faults::Fault.new(
            key: :dirty, seen: 0.9, air: :nothing, shown_by: nil, behind_it: {},
            explains: { pulses: { any: 2, stick: 1 }, brush_does_not_turn: 10, short_run_time: 22 }
          )),
          "burnt" => Kind::State.new(verdict: Kind::STOP, wash_helps: false, fault: Faults::Fault.new(
            key: :burnt, seen: 0.95, air: :nothing, shown_by: nil, behind_it: {},
            explains: {}
          ))
        },
        asked: {}, said_otherwise: %i[dirty],
        read_by: Findings::ReadState, ages: %i[state], tells: [],
        cracked: :replace, wet: Kind::STOP,
        other_faults: [],
        resistance: 0.0, laminar: 0.0,
        cleaned: :along_the_air, slot: 1, trials: %w[charge],
        measures: [],
        sides: Kind::SIDES, told_apart_by: {},
        tolerance: Kind::Tolerance::LOOKS_ALIKE, traits: %i[never_wet one_by_one]
      )
    end
  end
end
