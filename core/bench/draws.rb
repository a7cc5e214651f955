# frozen_string_literal: true

module UprightBench
  module Core
    module Bench
      # Values in which each operation's chance is tried out. The middle of each of COUNT equally likely shares of the
      # normal distribution occurs once for every operation, in another order for each (Latin hypercube; McKay, Beckman
      # and Conover 1979, Technometrics 21): a share of COUNT draws is closer to the truth than as many throws of dice,
      # and the same question has the same answer.
      class Draws
        COUNT = 199 # odd, so that the 180th of 199 is the quantile of nine in ten, and no draw is the middle of two
        ORDERS = 512 # as many operations are drawn apart from each other
        SCORES = Array.new(COUNT) { |share| Stats::Normal.quantile((share + 0.5) / COUNT) }.freeze

        class << self
          # The ones that promises are worked out with.
          # @return [Draws]
          def usual
            @usual ||= new(1)
          end
        end

        # @param seed [Integer] other draws for another
        def initialize(seed)
          @numbers = Numbers.new(seed)
          @orders = Array.new(ORDERS) { shuffled }.freeze
        end

        # @param key [Integer] of an operation
        # @return [Array<Integer>] which of SCORES is drawn each time
        def order(key)
          @orders[key % ORDERS]
        end

        private

        def shuffled
          (0...COUNT).to_a.tap do |order|
            (COUNT - 1).downto(1) do |last|
              other = @numbers.below(last + 1)
              order[last], order[other] = order[other], order[last]
            end
          end.freeze
        end
      end
    end
  end
end
