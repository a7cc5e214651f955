# frozen_string_literal: true

module UprightBench
  module Core
    module Stats
      # The Poisson distribution: how many come when `mean` are expected.
      #
      # The sum of its first terms is the complement of the incomplete gamma function, P(X <= k) = Q(k + 1, mean)
      # (Abramowitz & Stegun 26.4.21), so that large means neither underflow nor take long.
      class Poisson
        include Value

        fields :mean

        # @param count [Integer]
        # @return [Float] probability of no more than so many
        def cdf(count)
          return 0.0 if count.negative?
          return 1.0 if mean.zero?

          1 - Gamma.new(shape: count + 1, rate: 1).cdf(mean)
        end

        # @param probability [Float] 0 or more and below 1
        # @return [Integer] the smallest count that is not exceeded with at least this probability
        # @raise [ArgumentError] when the probability is not one
        def quantile(probability)
          raise ArgumentError, "probability must be 0 or more and below 1" unless probability >= 0 && probability < 1

          count = [(mean - (4 * Math.sqrt(mean))).floor, 0].max
          count -= 1 while count.positive? && cdf(count - 1) >= probability
          count += 1 until cdf(count) >= probability
          count
        end

        private

        def check
          raise ArgumentError, "mean must not be negative" if mean.negative?
        end
      end
    end
  end
end
