# frozen_string_literal: true

module UprightBench
  module Core
    module Kinds
      # Wheels and castors of a head or a machine.
      Wheels = Kind.new(
        key: :wheels,
        states_in: :state,
        states: {
          "turn" => Kind::State::GOOD,
          "drag" => Kind::State.new(verdict: :clean, wash_helps: false, fault: Faults::Fault.new(
            key: :drag, seen: 0.95, air: :nothing, shown_by: nil, behind_it: {},
            explains: { weak_on_the_floor: 2, hard_to_push: 14, short_run_time: 3, noise: 4 }
          )),
          "broken" => Kind::State.new(verdict: :replace, wash_helps: false, fault: Faults::Fault.new(
            key: :broken, seen: 0.95, air: :nothing, shown_by: nil, behind_it: {},
            explains: { hard_to_push: 4 }
          ))
        },
        asked: {}, said_otherwise: [],
        read_by: Findings::ReadState, ages: %i[state], tells: [],
        cracked: :replace, wet: :clean,
        other_faults: [],
        resistance: 0.0, laminar: 0.0,
        cleaned: :cut_free, slot: 1, trials: %w[roll-power],
        measures: [],
        sides: Kind::SIDES, told_apart_by: {},
        tolerance: Kind::Tolerance::LOOKS_ALIKE, traits: %i[never_wet at_the_floor]
      )
    end
  end
end
