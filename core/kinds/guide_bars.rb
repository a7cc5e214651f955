# frozen_string_literal: true

module UprightBench
  module Core
    module Kinds
      # Bars that keep the pile off the bristles.
      GuideBars = Kind.new(
        key: :guide_bars,
        states_in: :state,
        states: {
          "straight" => Kind::State::GOOD,
          "bent" => Kind::State.new(verdict: :replace, wash_helps: false, fault: Faults::Fault.new(
            key: :bent, seen: 0.9, air: :nothing, shown_by: nil, behind_it: {},
            explains: { hard_to_push: 2 }
          )),
          "missing" => Kind::State.new(verdict: :replace, wash_helps: false, fault: nil)
        },
        asked: {}, said_otherwise: [],
        read_by: Findings::ReadState, ages: %i[state], tells: [],
        cracked: :replace, wet: :clean,
        other_faults: [],
        resistance: 0.0, laminar: 0.0,
        cleaned: :along_the_air, slot: 1, trials: %w[roll-power],
        measures: [],
        sides: Kind::SIDES, told_apart_by: {},
        tolerance: Kind::Tolerance::LOOKS_ALIKE, traits: %i[at_the_floor]
      )
    end
  end
end
