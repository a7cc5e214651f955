# frozen_string_literal: true

module UprightBench
  module Core
    module Kinds
      # A mesh or shroud between the bin and the filter.
      Screen = Kind.new(
        key: :screen,
        states_in: :state,
        states: {
          "clear" => Kind::State::GOOD,
          "hair-wound" => Kind::State.new(verdict: :clean, wash_helps: true, fault: Faults::Fault.new(
            key: :wound, seen: 0.95, air: :blocked, shown_by: nil, behind_it: {},
            explains: { pulses: { any: 4, stick: 1 }, weak_everywhere: 5 }
          )),
          "clogged" => Kind::State.new(verdict: :clean, wash_helps: true, fault: Faults::Fault.new(
            key: :clogged, seen: 0.95, air: :blocked, shown_by: nil, behind_it: {},
            explains: { pulses: { any: 4, stick: 2 }, weak_everywhere: 6, no_suction: 6 }
          )),
          "torn" => Kind::State.new(verdict: :replace, wash_helps: false, fault: Faults::Fault.new(
            key: :torn, seen: 0.9, air: :nothing, shown_by: nil, behind_it: {},
            explains: {}
          ))
        },
        asked: {}, said_otherwise: [],
        read_by: Findings::ReadState, ages: %i[state], tells: [],
        cracked: :replace, wet: :clean,
        other_faults: [],
        resistance: 1.5, laminar: 0.0,
        cleaned: :dusts, slot: 2, trials: [],
        measures: [],
        sides: Kind::SIDES, told_apart_by: {},
        tolerance: Kind::Tolerance::LOOKS_ALIKE, traits: []
      )
    end
  end
end
