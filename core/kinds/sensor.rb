# frozen_string_literal: true

module UprightBench
  module Core
    module Kinds
      # The switch by which a machine notices that its filter sits.
      Sensor = Kind.new(
        key: :sensor,
        states_in: :state,
        states: {
          "answers" => Kind::State::GOOD,
          "silent" => Kind::State.new(verdict: :clean, wash_helps: false, fault: Faults::Fault.new(
            key: :silent, seen: 0.8, air: :nothing, shown_by: nil, behind_it: {},
            explains: {}
          ))
        },
        asked: {}, said_otherwise: [],
        read_by: Findings::ReadState, ages: %i[state], tells: [],
        cracked: :replace, wet: Kind::STOP,
        other_faults: [],
        resistance: 0.0, laminar: 0.0,
        cleaned: :along_the_air, slot: 1, trials: %w[light],
        measures: [],
        sides: Kind::SIDES, told_apart_by: {},
        tolerance: Kind::Tolerance::LOOKS_ALIKE, traits: %i[never_wet in_the_motor_head]
      )
    end
  end
end
