# frozen_string_literal: true

module UprightBench
  module Core
    module Kinds
      # A flap that keeps the dirt in when the machine is off.
      Flap = Kind.new(
        key: :flap,
        states_in: :state,
        states: {
          "closes" => Kind::State::GOOD,
          "gapes" => Kind::State.new(verdict: :clean, wash_helps: false, fault: Faults::Fault.new(
            key: :gapes, seen: 0.9, air: :leak, shown_by: nil, behind_it: {},
            explains: { weak_on_the_floor: 6, dirt_comes_back_out: 26 }
          )),
          "jammed" => Kind::State.new(verdict: :clean, wash_helps: false, fault: Faults::Fault.new(
            key: :jammed, seen: 0.9, air: :blocked, shown_by: nil, behind_it: {},
            explains: { weak_everywhere: 5, no_suction: 6, noise: 2 }
          )),
          "broken" => Kind::State.new(verdict: :replace, wash_helps: false, fault: Faults::Fault.new(
            key: :broken, seen: 0.95, air: :leak, shown_by: nil, behind_it: {},
            explains: { dirt_comes_back_out: 8 }
          ))
        },
        asked: {}, said_otherwise: [],
        read_by: Findings::ReadState, ages: %i[state], tells: [],
        cracked: :replace, wet: :clean,
        other_faults: [],
        resistance: 0.5, laminar: 0.0,
        cleaned: :along_the_air, slot: 1, trials: %w[flap],
        measures: [],
        sides: Kind::SIDES, told_apart_by: {},
        tolerance: Kind::Tolerance::LOOKS_ALIKE, traits: []
      )
    end
  end
end
