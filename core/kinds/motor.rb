# frozen_string_literal: true

module UprightBench
  module Core
    module Kinds
      # The motor and its fan.
      Motor = Kind.new(
        key: :motor,
        states_in: :state,
        states: {
          "even" => Kind::State::GOOD,
          "high-pitched" => Kind::State.new(verdict: :leave, wash_helps: false, fault: nil),
          "rough" => Kind::State.new(verdict: :refer, wash_helps: false, fault: Faults::Fault.new(
            key: :worn, seen: 0.6, air: :fan, shown_by: nil,
            explains: { pulses: { any: 3, stick: 1 }, weak_everywhere: 3, no_suction: 10, brush_does_not_turn: 1,
                        short_run_time: 2, noise: 14 },
            behind_it: { filter: %i[loose torn], bag: %i[burst], path: %i[blocked] }
          )),
          "burnt smell" => Kind::State.new(verdict: Kind::STOP, wash_helps: false, fault: Faults::Fault.new(
            key: :burnt, seen: 0.9, air: :nothing, shown_by: nil,
            explains: { smells: 3 },
            behind_it: { filter: %i[loose full], path: %i[blocked] }
          ))
        },
        asked: {}, said_otherwise: [],
        read_by: Findings::ReadState, ages: %i[state], tells: [],
        cracked: :refer, wet: Kind::STOP,
        other_faults: [],
        resistance: 0.0, laminar: 0.0,
        cleaned: :along_the_air, slot: 1, trials: [],
        measures: [],
        sides: Kind::SIDES, told_apart_by: {},
        tolerance: Kind::Tolerance::LOOKS_ALIKE, traits: %i[never_wet one_by_one moves_the_air live in_the_motor_head]
      )
    end
  end
end
