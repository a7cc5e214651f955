# frozen_string_literal: true

module UprightBench
  module Core
    module Faults
      # The minutes to be expected of checks in a given order, each coming out clear until one shows it.
      module OrderCost
        module_function

        # @param order [Array<Check>] none that splits
        # @param belief [Hash{String,nil=>Float}] by cause
        # @param openings [Hash{String=>Numeric}] minutes of those that are not made yet
        # @return [Float]
        def minutes(order, belief, openings)
          order.sum do |check|
            cost = check.minutes + openings.slice(*check.needs).each_value.sum
            openings = openings.except(*check.needs)
            (belief.each_value.sum * cost).tap { belief = cleared(belief, check) }
          end
        end

        ORDERS = 24 # over which the mean of any order is taken
        STEP = 1_664_525 # of the numbers that mix them (a linear congruential generator: Numerical Recipes)
        ADDED = 1_013_904_223
        private_constant :STEP, :ADDED

        # @return [Float] the mean over a fixed choice of mixed orders
        def of_any_order(checks, belief, openings)
          number = 1
          orders = Array.new(ORDERS) do
            checks.sort_by { number = ((number * STEP) + ADDED) % (2**32) }
          end
          orders.sum { |order| minutes(order, belief, openings) } / ORDERS
        end

        # @return [Hash{String,nil=>Float}] what is left of each when it came out clear
        def cleared(belief, check)
          belief.to_h { |cause, share| [cause, share * (1 - check.likelihood(cause))] }
        end
      end
    end
  end
end
