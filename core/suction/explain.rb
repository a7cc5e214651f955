# frozen_string_literal: true

module UprightBench
  module Core
    module Suction
      # What may explain the readings of a machine: nothing, one stage that resists too much, one joint that leaks, or a
      # tired fan. Each explanation has one size that is not known: it is averaged over (marginal likelihood), so that
      # none wins by having more to choose from.
      class Explain
        # @!attribute kind [Symbol] :nothing, :blocked, :leak or :fan
        # @!attribute stage [String, nil] key of a station
        # @!attribute log [Float] logarithm of how likely the readings are with it, whatever its size, but for a term
        #   that is the same for all
        # @!attribute likelihood [Float] the same beside the likeliest, which is one
        # @!attribute machine [Machine] with the size that fits best
        # @!attribute middle [Machine] with the size that is as likely too small as too large
        # @!attribute extent [Float] the size that fits best, as Machine#broken takes it
        # @!attribute also [Array(Symbol, String), nil] kind and stage of what is wrong besides
        # @!attribute share [Float, nil] how likely it is, once it was weighed
        Explanation = Struct.new(:kind, :stage, :log, :likelihood, :machine, :middle, :extent, :also, :share,
          keyword_init: true) do
          # @return [Array(Symbol, String)]
          def key
            [kind, stage]
          end

          # @return [Array<Array(Symbol, String)>] all that is wrong
          def keys
            [key, *([also] if also)]
          end
        end

        # From hardly anything to nearly shut, as Machine#broken takes them. Of the first two, a size is as likely as
        # ten times that size.
        RANGES = { blocked: 0.1..10_000.0, leak: 0.02..12.0, fan: 0.3..0.97 }.freeze
        COARSE = 22 # sizes that are tried first
        FINE = 6    # between those beside the best, three times over
        ROUNDS = 3

        # @param machine [Machine] as it is in order
        # @param readings [Array<Reading>]
        # @param spread_percent [Numeric] how much machines of that kind differ from each other when they are in order
        # @param resistance [Numeric] of the whole path in order, where something is wrong with the machine already
        def initialize(machine, readings, spread_percent: 0, resistance: machine.resistance)
          @machine = machine
          @resistance = resistance
          @readings = readings
          @spread_percent = spread_percent
          @fit = Fit.new(readings, spread_percent)
        end

        # @return [Array<Explanation>] not weighed; pairs only where no single one fits
        def call
          singles = candidates.map { |kind, stage| one(kind, stage) }.sort_by { |found| -@fit.log(found.machine) }
          all = singles + Pairs.new(@machine, @readings, @spread_percent, singles).call
          most = all.map(&:log).max
          all.each { |explanation| explanation.likelihood = Math.exp(explanation.log - most) }
        end

        # @return [Explanation] by this alone
        def one(kind, stage)
          tried = kind == :nothing ? { 0.0 => @fit.log(@machine) } : sizes(kind, stage)
          best, most = tried.max_by(&:last)
          steps = trapezoids(tried.transform_values { |log| Math.exp(log - most) }.sort)
          Explanation.new(kind: kind, stage: stage, machine: machine_of(kind, stage, best),
            log: most + Math.log(steps.sum(&:last)), middle: machine_of(kind, stage, half(steps)),
            extent: (spread(kind, best) unless kind == :nothing))
        end

        private

        # @return [Array<Array(Symbol, String)>] kind and stage
        def candidates
          [[:nothing, nil], [:fan, nil], *(@machine.stages + @machine.behind).map { |stage| [:blocked, stage.key] },
           *@machine.stages.map { |stage| [:leak, stage.key] }]
        end

        # @param size [Float] where it lies in its range, from 0 to 1
        # @return [Machine]
        def machine_of(kind, stage, size)
          kind == :nothing ? @machine : @machine.broken(kind, stage, spread(kind, size), resistance: @resistance)
        end

        def spread(kind, size)
          range = RANGES.fetch(kind)
          return range.begin + (size * (range.end - range.begin)) if kind == :fan

          range.begin * ((range.end / range.begin)**size)
        end

        # @return [Hash{Float=>Float}] size => logarithm of its likelihood, close together where it is large
        def sizes(kind, stage)
          tried = {}
          try = ->(size) { tried[size] ||= @fit.log(machine_of(kind, stage, size)) }
          (0..COARSE).each { |step| try.call(step / COARSE.to_f) }
          ROUNDS.times do
            low, high = beside(tried)
            (1...FINE).each { |step| try.call(low + ((high - low) * step / FINE)) }
          end
          tried
        end

        # @return [Array(Float, Float)] the sizes beside the best
        def beside(tried)
          sorted = tried.keys.sort
          at = sorted.index(tried.max_by(&:last).first)
          [sorted[[at - 1, 0].max], sorted[[at + 1, sorted.size - 1].min]]
        end

        # @param sorted [Array<Array(Float, Float)>] sizes and likelihoods
        # @return [Array<Array(Float, Float)>] between two sizes each, the upper one, and the likelihood there
        def trapezoids(sorted)
          return sorted if sorted.size == 1

          sorted.each_cons(2).map { |(from, low), (till, high)| [till, (till - from) * (low + high) / 2] }
        end

        # @return [Float] the size with as much below it as above
        def half(steps)
          left = steps.sum(&:last) / 2
          (steps.find { |_, part| (left -= part) <= 0 } || steps.last).first
        end
      end
    end
  end
end
