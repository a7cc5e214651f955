# frozen_string_literal: true

module UprightBench
  module Core
    module Suction
      # What is behind the readings of a machine: the explanations weighed by how likely they are anyway. Where no
      # reading decides, it says which one would.
      class Locate
        # @!attribute exhaust_off [Boolean] whether what is behind the fan comes off for it
        # @!attribute information [Float] bits to be expected of it
        # @!attribute minutes [Float] that it takes
        Next = Struct.new(:point, :kind, :exhaust_off, :information, :minutes, keyword_init: true)

        WEIGHTS = { nothing: 0.2, blocked: 0.5, leak: 0.2, fan: 0.1 }.freeze # from memory
        NAMED = 0.8 # believed so much, it is named
        SURELY = 0.9 # of what is known beforehand; the rest is as everywhere
        LEAST_BITS = 0.02 # that are worth a reading
        WORTH_ASKING = 0.01 # likely enough to ask for a reading because of it
        BLUR = 1.5 # of what a reading tells: sizes are not known for certain either

        # @param machine [Machine] as it is in order
        # @param readings [Array<Reading>]
        # @param spread_percent [Numeric] how much machines of that kind differ from each other when they are in order
        # @param weights [Hash{Array(Symbol, String)=>Float}, nil] by kind and stage, how likely each explanation is by
        #   what else is known, as by the complaint; nil where nothing is
        # @param explained [Array<Explain::Explanation>, nil] what Explain says of the same, where that is known
        def initialize(machine, readings, spread_percent: 0, weights: nil, explained: nil)
          @machine = machine
          @readings = readings
          @weights = weights
          @explained = explained || Explain.new(machine, readings, spread_percent: spread_percent).call
        end

        # @return [Array<Explain::Explanation>] the likeliest first
        def call
          @call ||= @explained.zip(shares).map { |one, share| one.dup.tap { |copy| copy.share = share } }
            .sort_by.with_index { |one, index| [-one.share, index] }
        end

        # @return [Hash{Array(Symbol, String)=>Float}] by kind and stage, how likely the readings are with it, alone or
        #   with whatever else
        def likelihoods
          @explained.flat_map(&:keys).uniq.to_h do |key|
            [key, @explained.sum { |one| one.keys.include?(key) ? one.likelihood * weight_of(one.keys - [key]) : 0.0 }]
          end
        end

        # @return [Explain::Explanation, nil] nil while it cannot be told
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
          Next.new(point: point, kind: kind, exhaust_off: exhaust_off, minutes: Reading.minutes(off),
            information: information(point, kind, exhaust_off))
        end

        # @return [Array<Float>] of each explanation; all alike where the readings are like none
        def shares
          weighed = @explained.map { |one| one.likelihood * weight_of(one.keys) }
          evened(weighed.sum.positive? ? weighed : weighed.map { 1.0 })
        end

        def weight_of(keys)
          keys.inject(1.0) { |all, (kind, stage)| all * weight(kind, stage) }
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
          values = likely.map { |one| Reading.expected(one.middle, point, kind, exhaust_off: exhaust_off) }
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

        # What machines of a kind differ by is one factor, which the readings that are there have told by now.
        def error_percent
          @readings.first&.error_percent || 2.0
        end

        def entropy(shares)
          -shares.select(&:positive?).sum { |share| share * Math.log2(share) }
        end
      end
    end
  end
end
