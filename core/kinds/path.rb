# frozen_string_literal: true

module UprightBench
  module Core
    module Kinds
      # Where the air goes and nothing else sits: a hose, a wand, a neck, a duct.
      Path = Kind.new(
        key: :path,
        states_in: :state,
        states: {
          "clear" => Kind::State::GOOD,
          "partly" => Kind::State.new(verdict: :clean, wash_helps: true, fault: Faults::Fault.new(
            key: :partly, seen: 0.85, air: :blocked, shown_by: nil, behind_it: {},
            explains: { weak_on_the_floor: 10, weak_everywhere: 10, dirt_comes_back_out: 6, smells: 6,
                        short_run_time: 3, noise: 12 }
          )),
          "blocked" => Kind::State.new(verdict: :clean, wash_helps: true, fault: Faults::Fault.new(
            key: :blocked, seen: 0.95, air: :blocked, shown_by: nil, behind_it: {},
            explains: { pulses: { any: 12, stick: 3 }, weak_on_the_floor: 8, weak_everywhere: 6, no_suction: 38,
                        noise: 18 }
          ))
        },
        asked: {}, said_otherwise: [],
        read_by: Findings::ReadState, ages: %i[state], tells: [],
        cracked: :replace, wet: :clean,
        other_faults: [],
        resistance: 2.0, laminar: 0.0,
        cleaned: :along_the_air, slot: 1, trials: [],
        measures: [],
        sides: Kind::SIDES, told_apart_by: {},
        tolerance: Kind::Tolerance::LOOKS_ALIKE, traits: %i[some_are_washed]
      )
    end
  end
end
