# frozen_string_literal: true

module UprightBench
  module Core
    module Kinds
      # Where a robot charges and is emptied.
      Dock = Kind.new(
        key: :dock,
        states_in: :state,
        states: {
          "firm" => Kind::State::GOOD,
          "dusty" => Kind::State.new(verdict: :clean, wash_helps: false, fault: Faults::Fault.new(
            key: :dusty, seen: 0.95, air: :nothing, shown_by: nil, behind_it: {},
            explains: { short_run_time: 6 }
          )),
          "loose" => Kind::State.new(verdict: :clean, wash_helps: false, fault: Faults::Fault.new(
            key: :loose, seen: 0.95, air: :nothing, shown_by: nil, behind_it: {},
            explains: { short_run_time: 4 }
          ))
        },
        asked: {}, said_otherwise: [],
        read_by: Findings::ReadState, ages: %i[state], tells: [],
        cracked: :replace, wet: :clean,
        other_faults: [],
        resistance: 0.0, laminar: 0.0,
        cleaned: :along_the_air, slot: 3, trials: %w[dock-dust],
        measures: [],
        sides: Kind::SIDES, told_apart_by: {},
        tolerance: Kind::Tolerance::LOOKS_ALIKE, traits: []
      )
    end
  end
end
