# frozen_string_literal: true

module UprightBench
  module Core
    module Kinds
      # A gasket of a lid, a bin or a joint.
      Seal = Kind.new(
        key: :seal,
        states_in: :state, states_label: "Seal",
        states: {
          "clean" => Kind::State::GOOD,
          "dirty" => Kind::State.new(verdict: :clean, wash_helps: true, fault: Faults::Fault.new(
            key: :dirty, words: "dirty",
            seen: 0.85, air: :leak, shown_by: nil,
            explains: { weak_on_the_floor: 2, weak_everywhere: 4, dirt_comes_back_out: 5, lid_or_bin_stiff: 18 },
            behind_it: {}
          )),
          "lifted" => Kind::State.new(verdict: :clean, wash_helps: false, fault: Faults::Fault.new(
            key: :lifted, words: "lifted from its seat",
            seen: 0.85, air: :leak, shown_by: nil,
            explains: { pulses: { any: 3, stick: 1 }, weak_everywhere: 3, no_suction: 6, dirt_comes_back_out: 6,
                        dust_in_the_exhaust_air: 8, lid_or_bin_stiff: 8, noise: 5 },
            behind_it: {}
          )),
          "binds" => Kind::State.new(verdict: :clean, wash_helps: false, fault: Faults::Fault.new(
            key: :binds, words: "binds",
            seen: 0.9, air: :nothing, shown_by: nil,
            explains: { lid_or_bin_stiff: 60 },
            behind_it: {}
          )),
          "torn" => Kind::State.new(verdict: :replace, wash_helps: false, fault: Faults::Fault.new(
            key: :torn, words: "torn",
            seen: 0.85, air: :leak, shown_by: nil,
            explains: { weak_everywhere: 2, no_suction: 3, dust_in_the_exhaust_air: 6 },
            behind_it: {}
          ))
        },
        asked: {},
        said_otherwise: %i[dirty],
        read_by: Findings::ReadState,
        ages: %i[state], tells: [],
        cracked: :replace, wet: :clean,
        look: Kind::Look.new(
          act: "Close it on a strip of paper, at four sides, and pull.",
          sign: "the paper slides out; dirt, a tear, a fold", tool: "strip of paper"
        ),
        other_faults: [],
        resistance: 0.0, laminar: 0.0,
        cleaned: :along_the_air, slot: 1,
        trials: [],
        measures: {},
        sides: %i[length_mm width_mm diameter_mm],
        told_apart_by: {
          "adhesive" => [true, false]
        },
        tolerance: Kind::Tolerance::LOOKS_ALIKE,
        traits: %i[some_are_washed]
      )
    end
  end
end
