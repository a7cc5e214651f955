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
        # @!attribute likelihood [Float] of the readings, whatever its size
        # @!attribute machine [Machine] with the size that fits best
        # @!attribute middle [Machine] with the size that is as likely too small as too large
        # @!attribute share [Float, nil] how likely it is, once it was weighed
        Explanation = Struct.new(:kind, :stage, :likelihood, :machine, :middle, :share, keyword_init: true)

        # From hardly anything to nearly shut, as Machine#broken takes them. Of the first two, a size is as likely as
        # ten times that size.
        RANGES = { blocked: 0.1..10_000.0, leak: 0.02..3.0, fan: 0.3..0.97 }.freeze
        COARSE = 22 # sizes that are tried first
        FINE = 6    # between those beside the best, three times over
        ROUNDS = 3

        # @param machine [Machine] as it is in order
        # @param readings [Array<Reading>]
        # @param spread_percent [Numeric] how much machines of that kind differ from each other when they are in order
        def initialize(machine, readings, spread_percent: 0)
          @machine = machine
          @readings = readings
          @spread_percent = spread_percent
        end

        # @return [Array<Explanation>] not weighed
        def call
          candidates.map { |kind, stage| explain(kind, stage) }
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
          kind == :nothing ? @machine : @machine.broken(kind, stage, spread(kind, size))
        end

        def spread(kind, size)
          range = RANGES.fetch(kind)
          return range.begin + (size * (range.end - range.begin)) if kind == :fan

          range.begin * ((range.end / range.begin)**size)
        end

        def explain(kind, stage)
          tried = kind == :nothing ? { 0.0 => likelihood(@machine) } : sizes(kind, stage)
          best = tried.max_by(&:last).first
          steps = trapezoids(tried.sort)
          likelihood = steps.sum(&:last)
          Explanation.new(kind: kind, stage: stage, machine: machine_of(kind, stage, best), likelihood: likelihood,
            middle: machine_of(kind, stage, half(steps)))
        end

        def likelihood(machine)
          @readings.inject(1.0) { |all, reading| all * reading.likelihood(machine, @spread_percent) }
        end

        # @return [Hash{Float=>Float}] size => likelihood, close together where it is large
        def sizes(kind, stage)
          tried = {}
          try = ->(size) { tried[size] ||= likelihood(machine_of(kind, stage, size)) }
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
