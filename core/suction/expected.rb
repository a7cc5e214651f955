# frozen_string_literal: true

module UprightBench
  module Core
    module Suction
      # What a machine in order does: what it did itself after its last good service, else what its sheet says of a new
      # one, else what is usual of its kind; shared among its stations by what stands in them.
      class Expected
        # Suction at the inlet (kPa) and flow through the whole path (L/s) of a usual machine (common practice, from
        # memory).
        USUAL = { stick: [18.0, 20.0], upright: [19.0, 30.0], canister: [22.0, 31.0], drum: [23.0, 38.0],
                  robot: [3.5, 12.0] }.freeze
        FREE = 1.456 # times the flow through the path, that the fan alone would let through (from memory)
        LEAST = 0.2 # resistance of a station in which nothing resists (from memory)

        # How much a machine differs from what it was at its last good service, machines of a model from its rated
        # readings, and machines of a kind from the usual ones (from memory).
        SPREAD_PERCENT = { own: 2.5, rated: 4.0, usual: 12.0 }.freeze
        RATED = { sealed: "suction_kpa", flow: "flow_l_s" }.freeze # as sheets call them

        # @param sheet [Sheets::Sheet]
        # @param own [Hash{Symbol=>Numeric}] :sealed (kPa) and :flow (L/s) of the whole machine after its last good
        #   service, as far as they were read
        # @return [Machine]
        def self.of(sheet, own: {})
          new(sheet, own: own).call
        end

        # @param sheet [Sheets::Sheet]
        # @return [Array<String>] where a gauge can be held: keys of the stations up to the motor's
        def self.points(sheet)
          of(sheet).stages.map(&:key)
        end

        # @return [Float] minutes to hold a gauge there (common practice, from memory)
        def self.minutes_at(sheet, point, exhaust_off: false)
          Reading.minutes((points(sheet).index(point) || 0) + (exhaust_off ? 1 : 0))
        end

        attr_reader :own

        def initialize(sheet, own: {})
          @sheet = sheet
          @own = own
        end

        def call
          shape = Machine.new(sealed_kpa: whole(:sealed), free_l_s: whole(:flow) * FREE, stages: stages(before),
            behind: stages(after), exponent: @sheet.rated.fetch("fan_exponent", 1.0))
          scaled(shape)
        end

        # @return [Float]
        def spread_percent
          SPREAD_PERCENT.fetch(known_by)
        end

        # @return [Symbol] :own, :rated or :usual, the least of what is known by it
        def known_by
          known = RATED.map do |kind, key|
            next :own if @own[kind]

            @sheet.rated.key?(key) ? :rated : :usual
          end
          SPREAD_PERCENT.keys.reverse.find { |by| known.include?(by) }
        end

        private

        def whole(kind)
          @own[kind] || @sheet.rated[RATED.fetch(kind)] || USUAL.fetch(@sheet.kind)[RATED.keys.index(kind)]
        end

        def motor
          @motor ||= @sheet.stations.index { |station| @sheet.at(station.key).any? { |place| place.kind == :motor } } ||
                     @sheet.stations.size
        end

        # The motor's own station is the last one: what stands there before the motor, and the motor's inlet.
        def before
          @sheet.stations.first(motor + 1)
        end

        def after
          @sheet.stations.drop(motor + 1)
        end

        def stages(stations)
          stations.map do |station|
            kinds = @sheet.at(station.key).reject(&:beside).map(&:kind_of_part)
            k = [kinds.sum(&:resistance), LEAST].max
            laminar = kinds.sum { |kind| kind.resistance * kind.laminar } / k
            Machine::Stage.new(key: station.key, k: k, laminar: laminar, leak: 0.0).freeze
          end
        end

        # So that the flow through the whole path is the rated one.
        def scaled(shape)
          flow = whole(:flow)
          taken = (shape.stages + shape.behind).sum { |stage| stage.loss(flow, shape.free_l_s) }
          factor = shape.given(flow) / taken
          shape.with(stages: times(shape.stages, factor), behind: times(shape.behind, factor))
        end

        def times(stages, factor)
          stages.map { |stage| stage.dup.tap { |copy| copy.k *= factor }.freeze }
        end
      end
    end
  end
end
