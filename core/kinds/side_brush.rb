# frozen_string_literal: true

module UprightBench
  module Core
    module Kinds
      # A small brush that sweeps in front of the head, at its side.
      SideBrush = Kind.new(
        key: :side_brush,
        states_in: :state,
        states: {
          "straight" => Kind::State::GOOD,
          "hair-wound" => Kind::State.new(verdict: :clean, wash_helps: false, fault: Faults::Fault.new(
            key: :wound, seen: 0.97, air: :nothing, shown_by: nil, behind_it: {},
            explains: { brush_does_not_turn: 6, dirt_comes_back_out: 4 }
          )),
          "bent" => Kind::State.new(verdict: :replace, wash_helps: false, fault: Faults::Fault.new(
            key: :bent, seen: 0.9, air: :nothing, shown_by: nil, behind_it: {},
            explains: { weak_on_the_floor: 4, noise: 2 }
          )),
          "missing" => Kind::State.new(verdict: :replace, wash_helps: false, fault: nil)
        },
        asked: {}, said_otherwise: [],
        read_by: Findings::ReadState, ages: %i[state], tells: [],
        cracked: :replace, wet: :clean,
        other_faults: [],
        resistance: 0.0, laminar: 0.0,
        cleaned: :cut_free, slot: 1, trials: %w[roll-by-hand roll-power],
        measures: [],
        sides: %i[diameter_mm], told_apart_by: { "side" => %w[left right] },
        tolerance: Kind::Tolerance::LOOKS_ALIKE, traits: %i[at_the_floor]
      )
    end
  end
end
