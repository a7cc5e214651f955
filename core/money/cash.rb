# frozen_string_literal: true

module UprightBench
  module Core
    module Money
      # What is paid in coins: to the nearest of the smallest one there is, as shops do where cents are no longer
      # struck (common practice). What lies in the very middle goes down, which nobody at a counter minds.
      module Cash
        module_function

        # @param cents [Integer] what is owed; negative where it is given back
        # @param step_cents [Integer] the smallest coin
        # @return [Integer] cents over the counter
        def rounded(cents, step_cents)
          sign = cents.negative? ? -1 : 1
          down, rest = cents.abs.divmod(step_cents)
          sign * step_cents * (rest * 2 > step_cents ? down + 1 : down)
        end
      end
    end
  end
end
