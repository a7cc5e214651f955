# frozen_string_literal: true

module UprightBench
  module Core
    module Suction
      # What explains the readings of a machine: nothing, one stage that resists too much, one joint that leaks, or a
      # tired fan. Each explanation has one size that is not known: it is averaged over (marginal likelihood), so that
      # none wins by having more to choose from. Where no reading decides, it says which one would.
      class Locate
        # @!attribute kind [Symbol] :nothing, :blocked, :leak or :fan
        # @!attribute stage [String, nil] key of a station
        # @!attribute share [Float] how likely it is
        # @!attribute machine [Machine] with the size that fits best
        # @!attribute likelihood [Float] of the readings, whatever its size
        Explanation = Struct.new(:kind, :stage, :share, :machine, :likelihood, keyword_init: true)
        # @!attribute exhaust_off [Boolean] whether what is behind the fan comes off for it
        # @!attribute information [Float] bits to be expected of it
        # @!attribute minutes [Float] that it takes
        Next = Struct.new(:point, :kind, :exhaust_off, :information, :minutes, keyword_init: true)

        WEIGHTS = { nothing: 0.2, blocked: 0.5, leak: 0.2, fan: 0.1 }.freeze # from memory
        NAMED = 0.8 # believed so much, it is named
        # From hardly anything to nearly shut: what a stage resists more, in times what the whole path resists; what a
        # joint leaks, in litres a second at one kilopascal, times the square root of what the path resists; what is
        # left of a fan. Of the first two, a size is as likely as ten times that size.
        RANGES = { blocked: 0.1..10_000.0, leak: 0.02..3.0, fan: 0.3..0.97 }.freeze
        SURELY = 0.9 # of what is known beforehand; the rest is as everywhere
        # To hold a gauge, and for each stage that has to come off before (common practice, from memory).
        HOLD_MINUTES = 2.0
        STAGE_MINUTES = 0.25
        LEAST_BITS = 0.02 # that are worth a reading
        WORTH_ASKING = 0.01 # likely enough to ask for a reading because of it
        BLUR = 1.5 # of what a reading tells: sizes are not known for certain either
        COARSE = 22 # sizes that are tried first
        FINE = 6    # between those beside the best, three times over
        ROUNDS = 3

        # @param machine [Machine] as it is in order
        # @param readings [Array<Reading>]
        # @param spread_percent [Numeric] how much machines of that kind differ from each other when they are in order
        # @param weights [Hash{Array(Symbol, String)=>Float}, nil] by kind and stage, how likely each explanation is by
        #   what else is known, as by the complaint; nil where nothing is
        def initialize(machine, readings, spread_percent: 0, weights: nil)
          @machine = machine
          @readings = readings
          @spread_percent = spread_percent
          @weights = weights
        end

        # @return [Array<Explanation>] the likeliest first
        def call
          @call ||= begin
            weighed = candidates.map { |kind, stage| weigh(kind, stage) }
            whole = weighed.sum(&:share)
            weighed.each { |one| one.share = whole.positive? ? one.share / whole : 1.0 / weighed.size }
            weighed.sort_by.with_index { |one, index| [-one.share, index] }
          end
        end

        # @return [Hash{Array(Symbol, String)=>Float}] by kind and stage, how likely the readings are with it
        def likelihoods
          call.to_h { |one| [[one.kind, one.stage], one.likelihood] }
        end

        # @return [Explanation, nil] nil while it cannot be told
        def named
          first = call.first
          first if first.share >= NAMED
        end

        # @return [Next, nil] the reading that would tell most for its minutes; nil when none tells anything
        def next_reading
          taken = @readings.map { |reading| [reading.point, reading.kind, reading.exhaust_off] }
          found = (possible - taken).map { |where| asked(*where) }
          found.select { |one| one.information > LEAST_BITS }.max_by { |one| one.information / one.minutes }
        end

        private

        # @return [Array<Array(String, Symbol, Boolean)>] point, kind, and whether the exhaust is off
        def possible
          keys = @machine.stages.map(&:key)
          behind = @machine.behind.any? ? [[keys.first, :flow, true]] : []
          keys.product(%i[sealed flow], [false]) + behind
        end

        def asked(point, kind, exhaust_off)
          off = @machine.stages.index { |stage| stage.key == point } + (exhaust_off ? 1 : 0)
          Next.new(point: point, kind: kind, exhaust_off: exhaust_off, minutes: HOLD_MINUTES + (STAGE_MINUTES * off),
            information: information(point, kind, exhaust_off))
        end

        # @return [Array<Array(Symbol, String)>] kind and stage
        def candidates
          [[:nothing, nil], [:fan, nil], *(@machine.stages + @machine.behind).map { |stage| [:blocked, stage.key] },
           *@machine.stages.map { |stage| [:leak, stage.key] }]
        end

        # @param size [Float] where it lies in its range, from 0 to 1
        # @return [Machine]
        def machine_of(kind, stage, size)
          case kind
          when :nothing then @machine
          when :fan then @machine.with(fan: RANGES[:fan].begin + (size * (RANGES[:fan].end - RANGES[:fan].begin)))
          when :blocked then @machine.with_stage(stage, k: spread(:blocked, size) * @machine.resistance)
          when :leak then @machine.with_stage(stage, leak: spread(:leak, size) / Math.sqrt(@machine.resistance))
          end
        end

        def spread(kind, size)
          range = RANGES.fetch(kind)
          range.begin * ((range.end / range.begin)**size)
        end

        def weigh(kind, stage)
          tried = kind == :nothing ? { 0.0 => likelihood(@machine) } : sizes(kind, stage)
          best = tried.max_by(&:last).first
          likelihood = mean(tried.sort)
          Explanation.new(kind: kind, stage: stage, machine: machine_of(kind, stage, best), likelihood: likelihood,
            share: likelihood * weight(kind, stage))
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

        # By the trapezoids between the sizes.
        def mean(sorted)
          return sorted.first.last if sorted.size == 1

          sorted.each_cons(2).sum { |(from, low), (till, high)| (till - from) * (low + high) / 2 }
        end

        def weight(kind, stage)
          usual = WEIGHTS.fetch(kind) * usual_share(kind, stage)
          @weights ? (SURELY * @weights.fetch([kind, stage], 0.0)) + ((1 - SURELY) * usual) : usual
        end

        # What resists more in order gets clogged more; a leak is as likely at one joint as at another.
        def usual_share(kind, stage)
          case kind
          when :blocked then (@machine.stages + @machine.behind).find { |one| one.key == stage }.k / @machine.resistance
          when :leak then 1.0 / @machine.stages.size
          else 1.0
          end
        end

        # How much a reading would tell, with each explanation as large as it fits best.
        def information(point, kind, exhaust_off)
          likely = call.select { |one| one.share > WORTH_ASKING }
          shares = evened(likely.map(&:share))
          values = likely.map { |one| Reading.expected(one.machine, point, kind, exhaust_off: exhaust_off) }
          left = shares.zip(values).sum { |share, value| share * entropy(after(shares, values, value, kind)) }
          entropy(shares) - left
        end

        def evened(shares)
          shares.map { |share| share / shares.sum }
        end

        # @return [Array<Float>] shares when the gauge shows this value
        def after(shares, values, value, kind)
          evened(shares.zip(values).map { |share, expected| share * chance(value, expected, kind) })
        end

        def chance(value, expected, kind)
          error = Reading.error(kind, [value, expected].max, error_percent) * BLUR
          Reading.chance(value, expected, error)
        end

        def error_percent
          Reading.together(@readings.first&.error_percent || 2.0, @spread_percent)
        end

        def entropy(shares)
          -shares.select(&:positive?).sum { |share| share * Math.log2(share) }
        end
      end
    end
  end
end
