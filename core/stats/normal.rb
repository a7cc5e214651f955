# frozen_string_literal: true

module UprightBench
  module Core
    module Stats
      # The standard normal distribution.
      module Normal
        MOST_STEPS = 50
        NEAR_ENOUGH = 1e-14

        module_function

        # @return [Float] probability of a value up to x
        def cdf(x)
          Math.erfc(-x / Math.sqrt(2)) / 2
        end

        # By Newton's steps from a first guess (Abramowitz & Stegun 26.2.22, within 3e-3).
        # @param probability [Float] strictly between 0 and 1
        # @return [Float] the value that is not exceeded with this probability
        # @raise [ArgumentError] when the probability is not strictly between 0 and 1
        def quantile(probability)
          raise ArgumentError, "probability must lie between 0 and 1" unless probability.positive? && probability < 1
          return -quantile(1 - probability) if probability < 0.5

          x = guess(1 - probability)
          MOST_STEPS.times do
            step = (cdf(x) - probability) / density(x)
            x -= step
            break if step.abs < NEAR_ENOUGH
          end
          x
        end

        def density(x)
          Math.exp(-x * x / 2) / Math.sqrt(2 * Math::PI)
        end

        def guess(above)
          t = Math.sqrt(-2 * Math.log(above))
          t - ((2.30753 + (0.27061 * t)) / (1 + (0.99229 * t) + (0.04481 * t * t)))
        end
        private_class_method :density, :guess
      end
    end
  end
end
