# frozen_string_literal: true

module UprightBench
  module Core
    module Kinds
      # A gasket of a lid, a bin or a joint.
      Seal = Kind.new(
        key: :seal,
        states_in: :state,
        states: {
          "clean" => Kind::State::GOOD,
          "dirty" => Kind::State.new(verdict: :clean, wash_helps: true, fault: Faults::Fault.new(
            key: :dirty, seen: 0.85, air: :leak, shown_by: nil, behind_it: {},
            explains: { pulses: { any: 1, stick: 0.3 }, weak_on_the_floor: 2, weak_everywhere: 4, no_suction: 2,
                        dirt_comes_back_out: 5, dust_in_the_exhaust_air: 3, lid_or_bin_stiff: 18, noise: 2 }
          )),
          "lifted" => Kind::State.new(verdict: :clean, wash_helps: false, fault: Faults::Fault.new(
            key: :lifted, seen: 0.85, air: :leak, shown_by: nil, behind_it: {},
            explains: { pulses: { any: 3, stick: 1 }, weak_everywhere: 3, no_suction: 6, dirt_comes_back_out: 6,
                        dust_in_the_exhaust_air: 8, lid_or_bin_stiff: 8, noise: 5 }
          )),
          "binds" => Kind::State.new(verdict: :clean, wash_helps: false, fault: Faults::Fault.new(
            key: :binds, seen: 0.9, air: :nothing, shown_by: nil, behind_it: {},
            explains: { lid_or_bin_stiff: 60 }
          )),
          "torn" => Kind::State.new(verdict: :replace, wash_helps: false, fault: Faults::Fault.new(
            key: :torn, seen: 0.85, air: :leak, shown_by: nil, behind_it: {},
            explains: { weak_everywhere: 2, no_suction: 3, dust_in_the_exhaust_air: 6 }
          ))
        },
        asked: {}, said_otherwise: %i[dirty],
        read_by: Findings::ReadState, ages: %i[state], tells: [],
        cracked: :replace, wet: :clean,
        other_faults: [],
        resistance: 0.0, laminar: 0.0,
        cleaned: :along_the_air, slot: 1, trials: [],
        measures: [],
        sides: Kind::SIDES, told_apart_by: { "adhesive" => Kind::YES_NO },
        tolerance: Kind::Tolerance::LOOKS_ALIKE, traits: %i[some_are_washed]
      )
    end
  end
end
