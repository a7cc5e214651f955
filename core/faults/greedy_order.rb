# frozen_string_literal: true

module UprightBench
  module Core
    module Faults
      # An order that is near the best where the best takes too long to compute: next comes the group of checks, sharing
      # what has to come off, that has the most probability for its minutes, and of it the check with the most.
      class GreedyOrder
        # @param belief [Hash{String,nil=>Float}] by cause
        # @param checks [Array<Check>] those that are left
        # @param openings [Hash{String=>Numeric}] minutes of those that are not made yet
        def initialize(belief, checks, openings)
          @belief = belief
          @checks = checks.reject(&:splits)
          @openings = openings
        end

        # @return [Check, nil] nil when none is left
        def first
          next_of(@belief, @checks, @openings)&.first
        end

        # @return [Float] minutes to be expected in this order, each check coming out clear until one shows it
        def minutes
          OrderCost.minutes(order, @belief, @openings)
        end

        # @return [Array<Check>] as they would come, each coming out clear
        def order
          belief = @belief
          left = @checks.dup
          openings = @openings
          Array.new(left.size) do
            check, = next_of(belief, left, openings)
            belief = OrderCost.cleared(belief, check)
            openings = openings.except(*check.needs)
            left.delete(check)
          end
        end

        private

        def shown(belief, check)
          check.shows.sum { |cause, seen| belief.fetch(cause, 0.0) * seen }
        end

        def open_cost(keys, openings)
          keys.sum { |key| openings.fetch(key, 0) }
        end

        # @return [Array(Check, Float), nil] the best check of the best group, and the group's ratio
        def next_of(belief, checks, openings)
          by_ratio = checks.sort_by.with_index { |check, index| [-shown(belief, check) / check.minutes, index] }
          groups = checks.map { |check| check.needs & openings.keys }.uniq
          ratios = groups.filter_map { |keys| best_prefix(open_with(by_ratio, openings, keys), belief, keys, openings) }
          ratios.max_by.with_index { |(_, ratio), index| [ratio, -index] }
        end

        # @return [Array<Check>] those that these openings are enough for
        def open_with(checks, openings, keys)
          checks.select { |check| ((check.needs & openings.keys) - keys).empty? }
        end

        # Of a group in the order of its ratios, as many as make its ratio the largest.
        def best_prefix(group, belief, keys, openings)
          return if group.empty?

          cost = open_cost(keys, openings)
          found = 0.0
          best = group.map do |check|
            cost += check.minutes
            found += shown(belief, check)
            found / cost
          end.max
          [group.first, best]
        end
      end
    end
  end
end
