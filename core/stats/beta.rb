# frozen_string_literal: true

module UprightBench
  module Core
    module Stats
      # The Beta distribution by its two shapes: the distribution function, and quantiles.
      #
      # The regularized incomplete beta function is Lentz's continued fraction (DLMF 8.17.22; Abramowitz & Stegun
      # 26.5.8), which converges quickly below the mean; above it, I_x(a, b) = 1 - I_{1-x}(b, a).
      class Beta
        include Value

        # @!attribute a [Numeric]
        # @!attribute b [Numeric]
        fields :a, :b

        PRECISION = 1e-14
        TINY = 1e-300
        MOST_TERMS = 5000
        MOST_STEPS = 200
        NEAR_ENOUGH = 1e-12

        # @param x [Numeric]
        # @return [Float] probability of a value up to x
        def cdf(x)
          return 0.0 if x <= 0
          return 1.0 if x >= 1

          x < (a + 1) / (a + b + 2.0) ? lower(a, b, x) : 1 - lower(b, a, 1 - x)
        end

        # @param probability [Float] strictly between 0 and 1
        # @return [Float] the value that is not exceeded with this probability
        # @raise [ArgumentError] when the probability is not strictly between 0 and 1
        def quantile(probability)
          raise ArgumentError, "probability must lie between 0 and 1" unless probability.positive? && probability < 1

          newton(probability, a / (a + b).to_f, 0.0, 1.0)
        end

        private

        # Newton's steps, within a bracket that is halved wherever a step would leave it.
        def newton(probability, x, low, high)
          MOST_STEPS.times do
            over = cdf(x) - probability
            over.positive? ? high = x : low = x
            step = x - (over / density(x))
            nearer = step > low && step < high ? step : (low + high) / 2
            return nearer if (nearer - x).abs <= NEAR_ENOUGH * nearer

            x = nearer
          end
          x
        end

        def density(x)
          Math.exp(logarithm(a, b, x)) / (x * (1 - x))
        end

        # @return [Float] of x^a (1 - x)^b over the beta function
        def logarithm(a, b, x)
          [a + b, a, b].map { |shape| Math.lgamma(shape).first }.inject(:-) + (a * Math.log(x)) + (b * Math.log(1 - x))
        end

        def check
          raise ArgumentError, "shapes must be positive" unless a.positive? && b.positive?
        end

        def lower(a, b, x)
          Math.exp(logarithm(a, b, x)) / a * fraction(a, b, x)
        end

        # The recurrence stands in one piece, as in the handbooks.
        def fraction(a, b, x) # rubocop:disable Metrics/AbcSize -- one recurrence
          c = 1.0
          d = sum = 1 / away_from_zero(1 - ((a + b) * x / (a + 1)))
          (1..MOST_TERMS).each do |m|
            before = sum
            terms(a, b, x, m).each do |term|
              d = 1 / away_from_zero(1 + (term * d))
              c = away_from_zero(1 + (term / c))
              sum *= c * d
            end
            break if (sum - before).abs < PRECISION * sum.abs
          end
          sum
        end

        # The even and the odd term of the fraction.
        def terms(a, b, x, m) # rubocop:disable Metrics/AbcSize -- one formula
          [m * (b - m) * x / ((a + (2 * m) - 1) * (a + (2 * m))),
           -(a + m) * (a + b + m) * x / ((a + (2 * m)) * (a + (2 * m) + 1))]
        end

        def away_from_zero(number)
          number.abs < TINY ? TINY : number
        end
      end
    end
  end
end
