# frozen_string_literal: true

module UprightBench
  module Core
    module Money
      # Cents are whole. What falls between two goes to the nearer, and what lies in the very middle to the even one,
      # so that many halves do not add up to somebody's gain.
      module Rounding
        module_function

        # @param exact [Rational, Integer] cents
        # @return [Integer]
        def half_even(exact)
          Rational(exact).round(half: :even)
        end
      end
    end
  end
end
