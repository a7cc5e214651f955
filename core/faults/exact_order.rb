# frozen_string_literal: true

module UprightBench
  module Core
    module Faults
      # The order of checks that finds and proves a fault in the fewest minutes to be expected, by dynamic programming
      # over what came out clear:
      #
      #   V(S) = min over k not in S of U(S) · c_k(S) + V(S ∪ k),   U(S) = Σ w · Π over S of (1 − s)
      #
      # with the minutes c_k of a check and of the openings that are not made yet, paid before the result; each check
      # once. A splitting check is paid alike and parts what is left in two: V of what is likely with its sign and of
      # what is likely without. With perfect checks and nothing to open the order is that by probability over minutes
      # (Bellman; Stone, Theory of Optimal Search).
      class ExactOrder
        MOST_CHECKS = 14
        MOST_WITH_SPLITS = 10

        # @param checks [Array<Check>]
        # @return [Boolean] whether it can be computed
        def self.can?(checks)
          return false unless checks.all? { |check| check.splits || check.proves? }

          checks.size <= (checks.any?(&:splits) ? MOST_WITH_SPLITS : MOST_CHECKS)
        end

        # @param belief [Hash{String,nil=>Float}] by cause
        # @param checks [Array<Check>] those that are left
        # @param openings [Hash{String=>Numeric}] minutes of those that are not made yet
        def initialize(belief, checks, openings)
          @causes, @weights = belief.to_a.transpose
          @splits, @proving = checks.partition(&:splits)
          @size = 1 << @proving.size
          @opening_bits = openings.keys.each_with_index.to_h { |key, bit| [key, 1 << bit] }
          @opening_cost = costs(openings.values)
          lay_out
          @solved = {}
        end

        # @return [Float] minutes to be expected
        def minutes
          values([]).first
        end

        # @return [Array<Array(Check, Float)>] each check, and the minutes to be expected when it comes first; the best
        #   first
        def first_steps
          first = Array.new(@proving.size) { |index| [@proving[index], proving_value([], 0, index)] }
          splitting = @splits.each_index.map { |index| [@splits[index], splitting_value([], 0, index)] }
          (first + splitting).sort_by.with_index { |(_, value), index| [value, index] }
        end

        private

        # What is asked for again and again.
        def lay_out
          @needs = @proving.map { |check| bits(check) }
          @minutes = @proving.map(&:minutes)
          @opened = opened_by_sets
        end

        def bits(check)
          check.needs.sum { |key| @opening_bits.fetch(key, 0) }
        end

        # @return [Array<Numeric>] minutes of each set of openings
        def costs(minutes)
          minutes.inject([0]) { |sums, one| sums + sums.map { |sum| sum + one } }
        end

        # @return [Array<Integer>] for each set of proving checks, the openings that they need
        def opened_by_sets
          Array.new(@size, 0).tap do |opened|
            @needs.each_with_index do |need, bit|
              low = 1 << bit
              low.times { |set| opened[low + set] = opened[set] | need }
            end
          end
        end

        # @param outcomes [Array<Array(Integer, Boolean)>] splits that were done, with whether the sign was seen
        # @return [Array<Float>] U for each set of proving checks
        def left(outcomes)
          sums = Array.new(@size, 0.0)
          @causes.each_with_index do |cause, index|
            weight = outcomes.inject(@weights[index]) do |share, (split, seen)|
              sign = @splits[split].likelihood(cause)
              share * (seen ? sign : 1 - sign)
            end
            add_cause(sums, weight, cause) if weight.positive?
          end
          sums
        end

        def add_cause(sums, weight, cause)
          shares = [weight]
          @proving.each do |check|
            missed = 1 - check.shows.fetch(cause, 0.0)
            shares.concat(missed == 1 ? shares : shares.map { |share| share * missed })
          end
          set = 0
          while set < @size
            sums[set] += shares[set]
            set += 1
          end
        end

        # @return [Array<Float>] V for each set of proving checks, after these outcomes
        def values(outcomes)
          @solved[outcomes] ||= [left(outcomes), Array.new(@size, 0.0)].then do |sums, values|
            @solved[[:left, outcomes]] = sums
            fill(values, sums, outcomes)
          end
        end

        def fill(values, sums, outcomes)
          done = done_bits(outcomes)
          # The last set is that of all of them: nothing is left to prove, and it costs nothing.
          (@size - 2).downto(0) { |set| values[set] = best(values, sums, set, done, outcomes) }
          values
        end

        def best(values, sums, set, done, outcomes)
          proving = least(values, sums[set], set, @opened[set] | done)
          split = best_split(set, outcomes) if outcomes.size < @splits.size
          [proving, split].compact.min
        end

        # The heart of it: it runs some hundred thousand times.
        def least(values, here, set, opened)
          found = nil
          @needs.each_with_index do |need, index|
            next if set[index] == 1

            value = (here * (@minutes[index] + @opening_cost[need & ~opened])) + values[set | (1 << index)]
            found = value if found.nil? || value < found
          end
          found
        end

        def best_split(set, outcomes)
          undone = @splits.each_index.to_a - outcomes.map(&:first)
          undone.map { |index| splitting_value(outcomes, set, index) }.min
        end

        def splitting_value(outcomes, set, index)
          sums = @solved[[:left, outcomes]] || left(outcomes)
          cost = @splits[index].minutes + opening_minutes(bits(@splits[index]), set, outcomes)
          (sums[set] * cost) + [true, false].sum { |seen| values((outcomes + [[index, seen]]).sort_by(&:first))[set] }
        end

        def proving_value(outcomes, set, index)
          all = values(outcomes)
          cost = @minutes[index] + opening_minutes(@needs[index], set, outcomes)
          (@solved[[:left, outcomes]][set] * cost) + all[set | (1 << index)]
        end

        # @param needs [Integer] openings
        # @return [Numeric] minutes of those that are not made yet
        def opening_minutes(needs, set, outcomes)
          @opening_cost[needs & ~(@opened[set] | done_bits(outcomes))]
        end

        def done_bits(outcomes)
          outcomes.inject(0) { |done, (split, _)| done | bits(@splits[split]) }
        end
      end
    end
  end
end
