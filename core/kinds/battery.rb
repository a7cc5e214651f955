# frozen_string_literal: true

module UprightBench
  module Core
    module Kinds
      # A pack, and how long it runs.
      Battery = Kind.new(
        key: :battery,
        states_in: :state,
        states: {
          "sound" => Kind::State::GOOD,
          "weak" => Kind::State.new(verdict: :replace, wash_helps: false, fault: Faults::Fault.new(
            key: :weak, seen: 0.6, air: :fan, shown_by: :a_good_one, told_by: %i[pack_tired],
            explains: { pulses: { any: 3, stick: 2 }, weak_everywhere: 4, brush_does_not_turn: 2,
                        short_run_time: 30 },
            behind_it: { filter: %i[full], roll: %i[wound], contacts: %i[dirty] }
          )),
          "swollen" => Kind::State.new(verdict: Kind::STOP, wash_helps: false, fault: Faults::Fault.new(
            key: :swollen, seen: 0.98, air: :nothing, shown_by: nil, behind_it: {},
            explains: {}
          ))
        },
        asked: {
          run_minutes: Findings::Fields::Measure.new(unit: "min", range: 0..240, needs: "run_minutes"),
          run_minutes_full: Findings::Fields::Measure.new(unit: "min", range: 0..120, needs: "run_minutes_full"),
          charging: Findings::Fields::Choice.new(options: ["steady", "flashes red"])
        },
        said_otherwise: [],
        read_by: Findings::ReadBattery, ages: %i[run_time], tells: [],
        cracked: Kind::STOP, wet: Kind::STOP,
        other_faults: [],
        resistance: 0.0, laminar: 0.0,
        cleaned: :along_the_air, slot: 1, trials: %w[charge],
        measures: %w[run_minutes run_minutes_full],
        sides: Kind::SIDES, told_apart_by: {},
        tolerance: Kind::Tolerance::LOOKS_ALIKE, traits: %i[never_wet one_by_one]
      )
    end
  end
end
