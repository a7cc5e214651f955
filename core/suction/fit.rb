# frozen_string_literal: true

module UprightBench
  module Core
    module Suction
      # How well a machine explains readings. Each is off by its gauge's error; besides, all suctions of one machine are
      # off by one factor, and all its flows by another, because it is not quite like others of its kind: what differs
      # between two readings of one machine is no such factor.
      #
      # With r the deviations, e what is expected, σ the errors and τ the spread, of readings of one kind:
      #
      #   misfit = Σ r²/σ² − τ² (Σ r·e/σ²)² / (1 + τ² Σ e²/σ²)
      #
      # which is r's quadratic form with the covariance diag(σ²) + τ² e eᵀ (Sherman and Morrison 1950, from memory).
      class Fit
        OWN_PERCENT = 1.0 # of a reading, beside its gauge's error: no two stages are quite alike (from memory)

        # @param readings [Array<Reading>]
        # @param spread_percent [Numeric] how much machines of that kind differ from each other when they are in order
        def initialize(readings, spread_percent)
          @groups = readings.group_by { |reading| Reading::KINDS.fetch(reading.kind) }.values
          @spread = (spread_percent / 100.0)**2
        end

        # @param machine [Machine]
        # @return [Float] logarithm of how likely the readings are, but for a term that is the same for every machine
        def log(machine)
          @groups.sum do |readings|
            misfit, spread, errors = weighed(readings, machine)
            -0.5 * (misfit + Math.log(spread) + (2 * errors))
          end
        end

        # @return [Float] squares of what they are off, in errors: as many as there are readings is usual
        def misfit(machine)
          @groups.sum { |readings| weighed(readings, machine).first }
        end

        private

        # @return [Array(Float, Float, Float)] the misfit, 1 + τ² Σ e²/σ², and Σ log σ
        def weighed(readings, machine)
          told = readings.map { |reading| off(reading, machine) }
          spread = 1 + (@spread * told.sum { |_, expected, _| expected**2 })
          crossed = told.sum { |off, expected, _| off * expected }
          [told.sum { |off, *| off**2 } - (@spread * (crossed**2) / spread), spread, told.sum(&:last)]
        end

        # @return [Array(Float, Float, Float)] what it is off and what is expected, in errors, and log σ
        def off(reading, machine)
          expected = reading.expected(machine)
          error = Reading.error(reading.kind, [expected, reading.value].max,
            Reading.together(reading.error_percent, OWN_PERCENT))
          [(reading.value - expected) / error, expected / error, Math.log(error)]
        end
      end
    end
  end
end
