# frozen_string_literal: true

module UprightBench
  module Core
    module Kinds
      # What tells the machine that its filter sits.
      Sensor = Kind.new(
        key: :sensor,
        states_in: :state, states_label: "Seat sensor",
        states: {
          "answers" => Kind::State::GOOD,
          "silent" => Kind::State.new(verdict: :clean, wash_helps: false, fault: Faults::Fault.new(
            key: :silent, words: "does not answer",
            seen: 0.8, air: :nothing, shown_by: nil,
            explains: {},
            behind_it: {}
          ))
        },
        asked: {},
        said_otherwise: [],
        read_by: Findings::ReadState,
        ages: %i[state], tells: [],
        cracked: :replace, wet: Kind::STOP,
        look: Kind::Look.new(
          act: "Press where the filter sits, and watch the light.",
          sign: "no answer", tool: nil
        ),
        other_faults: [],
        resistance: 0.0, laminar: 0.0,
        cleaned: :along_the_air, slot: 1,
        trials: %w[light],
        measures: {},
        sides: %i[length_mm width_mm diameter_mm],
        told_apart_by: {},
        tolerance: Kind::Tolerance::LOOKS_ALIKE,
        traits: %i[never_wet in_the_motor_head]
      )
    end
  end
end
