# frozen_string_literal: true

module UprightBench
  module Core
    module Kinds
      # A roll of bristles or soft fibre that turns at the floor.
      Roll = Kind.new(
        key: :roll,
        states_in: :turns,
        states: {
          "free" => Kind::State::GOOD,
          "drags" => Kind::State.new(verdict: :clean, wash_helps: false, fault: Faults::Fault.new(
            key: :wound, seen: 0.97, air: :nothing, shown_by: nil, behind_it: {},
            explains: { weak_on_the_floor: 16, brush_does_not_turn: 14, dirt_comes_back_out: 8, smells: 5,
                        short_run_time: 12, noise: 10 }
          )),
          "stuck" => Kind::State.new(verdict: :clean, wash_helps: false, fault: Faults::Fault.new(
            key: :stuck, seen: 0.97, air: :nothing, shown_by: nil, behind_it: {},
            explains: { brush_does_not_turn: 34, hard_to_push: 8, short_run_time: 4, noise: 4 }
          ))
        },
        asked: {
          bristles: Findings::Fields::Choice.new(options: %w[full worn missing]),
          light: Findings::Fields::Choice.new(options: ["fine", "shows a fault"], needs: "status_light")
        },
        said_otherwise: [],
        read_by: Findings::ReadRoll, ages: %i[turns bristles], tells: %i[turns],
        cracked: :replace, wet: :clean,
        other_faults: [
          Faults::Fault.new(
            key: :worn, observed: { bristles: "worn" }, seen: 0.9, air: :nothing, shown_by: nil,
            explains: { weak_on_the_floor: 8, dirt_comes_back_out: 8 },
            behind_it: { wheels: %i[drag broken], guide_bars: %i[bent] }
          )
        ],
        resistance: 1.0, laminar: 0.0,
        cleaned: :cut_free, slot: 2, trials: %w[roll-by-hand roll-power],
        measures: [],
        sides: %i[length_mm diameter_mm], told_apart_by: { "drive" => %w[left right], "first_side" => %w[left right] },
        tolerance: Kind::Tolerance::LOOKS_ALIKE, traits: %i[at_the_floor]
      )
    end
  end
end
