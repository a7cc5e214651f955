# frozen_string_literal: true

module UprightBench
  module Core
    module Suction
      # Two things at once, for readings that no single one explains. The size of each is found with the other's held,
      # in turns.
      class Pairs
        TURNS = 2
        FIRST = 3 # of the best single explanations, to which a second is sought
        KNOWN_SIZE = 0.05 # what is taken off for a second size that may be anything (from memory)
        # Readings that are off by more than that, squared and summed, are not explained: about one in two hundred.
        EACH = 2.0
        BESIDE = 6.0

        # @param machine [Machine] in order
        # @param readings [Array<Reading>]
        # @param spread_percent [Numeric]
        # @param singles [Array<Explain::Explanation>]
        def initialize(machine, readings, spread_percent, singles)
          @machine = machine
          @readings = readings
          @spread_percent = spread_percent
          @singles = singles
        end

        # @return [Array<Explain::Explanation>] none where a single one fits
        def call
          fits? ? [] : pairs
        end

        private

        def fits?
          Fit.new(@readings, @spread_percent).misfit(@singles.first.machine) <= (EACH * @readings.size) + BESIDE
        end

        def pairs
          faults = @singles.reject { |one| one.kind == :nothing }
          faults.first(FIRST).product(faults).reject { |one, other| one.key == other.key }
            .uniq { |two| two.map { |one| one.key.to_s }.sort }.map { |one, other| pair(one, other) }
        end

        def pair(one, other)
          TURNS.times do
            other = on(one).one(*other.key)
            one = on(other).one(*one.key)
          end
          one.dup.tap do |both|
            both.also = other.key
            both.log += Math.log(KNOWN_SIZE)
          end
        end

        # @return [Explain] of what else may be wrong with a machine that has this
        def on(explanation)
          Explain.new(@machine.broken(*explanation.key, explanation.extent), @readings, spread_percent: @spread_percent,
            resistance: @machine.resistance)
        end
      end
    end
  end
end
