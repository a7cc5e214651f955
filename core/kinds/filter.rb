# frozen_string_literal: true

module UprightBench
  module Core
    module Kinds
      # Paper, fleece, foam or mesh that holds back what the bin or bag lets through.
      Filter = Kind.new(
        key: :filter,
        states_in: nil, states: {},
        asked: {
          grey: Findings::Fields::Scale.new(options: (0..5).to_a),
          torn: Findings::Fields::Flag.new,
          smell: Findings::Fields::Flag.new,
          damp: Findings::Fields::Flag.new,
          loose: Findings::Fields::Flag.new,
          after_wash: Findings::Fields::Flag.new,
          indicator_percent: Findings::Fields::Measure.new(unit: "%", range: 0..100, needs: "indicator")
        },
        said_otherwise: %i[wet],
        read_by: Findings::ReadFilter, ages: %i[grey indicator], tells: %i[indicator grey],
        cracked: :replace, wet: :clean,
        other_faults: [
          Faults::Fault.new(
            key: :full, observed: { grey: 5 }, seen: 0.95, air: :blocked, shown_by: :leaving_it_out,
            explains: { pulses: { any: 60, stick: 150 }, weak_on_the_floor: 6,
                        weak_everywhere: { any: 34, stick: 42 }, no_suction: 14, smells: 22, short_run_time: 24,
                        noise: 10 },
            behind_it: { cyclone: %i[packed], screen: %i[torn], bin: %i[full], bag: %i[full burst],
                         seal: %i[lifted torn] }
          ),
          Faults::Fault.new(
            key: :damp, observed: { damp: true }, seen: 0.9, air: :blocked, shown_by: :leaving_it_out, behind_it: {},
            explains: { pulses: { any: 4, stick: 5 }, weak_everywhere: 2, smells: 26 }
          ),
          Faults::Fault.new(
            key: :torn, observed: { torn: true }, seen: 0.9, air: :leak, shown_by: nil, behind_it: {},
            explains: { dust_in_the_exhaust_air: 26 }
          ),
          Faults::Fault.new(
            key: :loose, observed: { loose: true }, seen: 0.95, air: :leak, shown_by: nil, behind_it: {},
            explains: { pulses: { any: 3, stick: 2 }, dust_in_the_exhaust_air: 34, noise: 16 }
          )
        ],
        resistance: 3.0, laminar: 0.5,
        cleaned: :dusts, slot: 1, trials: %w[filters],
        measures: %w[length_mm width_mm diameter_mm],
        sides: Kind::SIDES,
        told_apart_by: { "clip" => Kind::YES_NO, "frame" => Kind::YES_NO, "twist_lock" => Kind::YES_NO,
                         "first_side" => %w[left right], "seal" => %w[flat rimmed] },
        tolerance: Kind::Tolerance.new(length_share: nil, mm: 1.0, size_decides: true), traits: %i[some_are_washed]
      )
    end
  end
end
