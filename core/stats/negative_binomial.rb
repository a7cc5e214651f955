# frozen_string_literal: true

module UprightBench
  module Core
    module Stats
      # How many events come when their rate is itself uncertain: Poisson over a Gamma of this shape and mean (Johnson,
      # Kemp and Kotz, Univariate Discrete Distributions, the Gamma mixture of Poissons).
      #
      #   NegativeBinomial.new(shape: 8, mean: 40).at_least(50)  # => probability of 50 or more
      class NegativeBinomial
        include Value

        fields :shape, :mean

        # Also for a count that is not whole: between two counts it goes smoothly from one to the other.
        # @param count [Numeric]
        # @return [Float] probability of so many or more, I_q(count, shape) with q = mean / (shape + mean)
        def at_least(count)
          return 1.0 if count <= 0
          return 0.0 if mean.zero?

          Beta.new(a: count, b: shape).cdf(mean / (shape + mean).to_f)
        end

        # @param count [Integer]
        # @return [Float] probability of no more than so many
        def cdf(count)
          1 - at_least(count + 1)
        end

        private

        def check
          raise ArgumentError, "shape must be positive" unless shape.positive?
          raise ArgumentError, "mean must not be negative" if mean.negative?
        end
      end
    end
  end
end
