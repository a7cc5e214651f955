# frozen_string_literal: true

module UprightBench
  module Core
    module Suction
      # What a gauge showed at a point.
      class Reading
        include Value

        KINDS = { sealed: :pressure, flow: :flow, plate: :pressure }.freeze
        WORDS = { sealed: "suction, inlet closed", flow: "flow", plate: "suction behind a plate" }.freeze

        # To hold a gauge, and for each stage that has to come off before (common practice, from memory).
        HOLD_MINUTES = 2.0
        STAGE_MINUTES = 0.25

        # @param stages [Integer] that come off for it
        # @return [Float]
        def self.minutes(stages)
          HOLD_MINUTES + (STAGE_MINUTES * stages)
        end

        # @!attribute point [String] key of the station at whose inlet it was taken
        # @!attribute kind [Symbol] of KINDS
        # @!attribute value [Numeric] kPa or L/s
        # @!attribute error_percent [Numeric] of the gauge
        # @!attribute plate_mm [Numeric, nil] diameter of the plate's hole
        # @!attribute exhaust_off [Boolean] whether what is behind the fan was off, too
        fields :point, :kind, :value, error_percent: 2.0, plate_mm: nil, exhaust_off: false

        # @param machine [Machine]
        # @return [Float] what it would show there
        def self.expected(machine, point, kind, plate_mm = nil, exhaust_off: false)
          machine = machine.without_exhaust if exhaust_off
          case kind
          when :sealed then machine.sealed(point)
          when :flow then machine.flow(point)
          else machine.behind_plate(point, Orifice.resistance(plate_mm))
          end
        end

        # @param kind [Symbol] of KINDS
        # @return [Gauges::Quantity] that it reads
        def self.quantity(kind)
          Gauges::Quantities.fetch(KINDS.fetch(kind))
        end

        # @return [Float] how much the gauge and the hand that holds it may be off
        def self.error(kind, value, percent)
          [value.abs * percent / 100.0, quantity(kind).least].max
        end

        # @return [Float] of the normal distribution, but for a factor
        def self.chance(value, expected, error)
          Math.exp(-0.5 * (((value - expected) / error)**2)) / error
        end

        # @return [Float] percents that have nothing to do with each other
        def self.together(*percents)
          Math.sqrt(percents.sum { |percent| percent**2 })
        end

        # @return [Float] what it would be at this machine
        def expected(machine)
          self.class.expected(machine, point, kind, plate_mm, exhaust_off: exhaust_off)
        end

        # @return [Array] what two readings of the same have in common
        def where
          [point, kind, plate_mm, exhaust_off]
        end

        private

        def check
          raise ArgumentError, "unknown kind #{kind}" unless KINDS.key?(kind)
          raise ArgumentError, "a plate has a hole" if kind == :plate && !plate_mm&.positive?
        end
      end
    end
  end
end
