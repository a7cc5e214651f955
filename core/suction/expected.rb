# frozen_string_literal: true

module UprightBench
  module Core
    module Suction
      # What a machine in order does, by its sheet: its rated readings, shared among its stations by what stands in
      # them; where the sheet gives none, those of its kind.
      class Expected
        # Suction at the inlet (kPa) and flow through the whole path (L/s) of a usual machine (common practice, from
        # memory).
        USUAL = { stick: [18.0, 20.0], upright: [19.0, 30.0], canister: [22.0, 31.0], drum: [23.0, 38.0],
                  robot: [3.5, 12.0] }.freeze
        FREE = 1.456 # times the flow through the path, that the fan alone would let through (from memory)
        # How much each part takes of the path's resistance, beside the others (from memory).
        SHARES = { path: 2.0, filter: 3.0, bag: 3.0, bin: 0.5, screen: 1.5, cyclone: 2.0, roll: 1.0, brush: 1.0,
                   wiper: 0.5, vents: 0.5, flap: 0.5 }.tap { |shares| shares.default = 0.0 }.freeze
        LEAST = 0.2 # of a station in which none of these stands
        LAMINAR = { filter: 0.5, bag: 0.3 }.tap { |shares| shares.default = 0.0 }.freeze

        # How much machines of a model differ from its rated readings, and machines of a kind from the usual ones (from
        # memory).
        SPREAD_PERCENT = { rated: 4.0, usual: 12.0 }.freeze

        # @param sheet [Sheets::Sheet]
        # @return [Float]
        def self.spread_percent(sheet)
          SPREAD_PERCENT.fetch(%w[suction_kpa flow_l_s].all? { |key| sheet.rated.key?(key) } ? :rated : :usual)
        end

        # @param sheet [Sheets::Sheet]
        # @return [Machine]
        def self.of(sheet)
          new(sheet).call
        end

        def initialize(sheet)
          @sheet = sheet
        end

        def call
          shape = Machine.new(sealed_kpa: sealed, free_l_s: flow * FREE, stages: stages(before), behind: stages(after))
          scaled(shape)
        end

        private

        def sealed
          @sheet.rated["suction_kpa"] || USUAL.fetch(@sheet.kind).first
        end

        def flow
          @sheet.rated["flow_l_s"] || USUAL.fetch(@sheet.kind).last
        end

        def motor
          @motor ||= @sheet.stations.index { |station| @sheet.at(station.key).any? { |place| place.kind == :motor } } ||
                     @sheet.stations.size
        end

        def before
          @sheet.stations.first(motor)
        end

        def after
          @sheet.stations.drop(motor + 1)
        end

        def stages(stations)
          stations.map do |station|
            kinds = @sheet.at(station.key).reject(&:beside).map(&:kind)
            k = [kinds.sum { |kind| SHARES[kind] }, LEAST].max
            laminar = kinds.sum { |kind| SHARES[kind] * LAMINAR[kind] } / k
            Machine::Stage.new(key: station.key, k: k, laminar: laminar, leak: 0.0).freeze
          end
        end

        # So that the flow through the whole path is the rated one.
        def scaled(shape)
          taken = (shape.stages + shape.behind).sum { |stage| stage.loss(flow, shape.free_l_s) }
          factor = sealed * (1 - (flow / shape.free_l_s)) / taken
          shape.with(stages: times(shape.stages, factor), behind: times(shape.behind, factor))
        end

        def times(stages, factor)
          stages.map { |stage| stage.dup.tap { |copy| copy.k *= factor }.freeze }
        end
      end
    end
  end
end
