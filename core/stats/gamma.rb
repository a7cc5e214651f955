# frozen_string_literal: true

module UprightBench
  module Core
    module Stats
      # The Gamma distribution by shape and rate: mean, distribution function and quantiles.
      #
      # The regularized lower incomplete gamma function P(a, x) is summed as a series for x < a + 1 and
      # by Lentz's continued fraction of its complement above (Abramowitz & Stegun 6.5.29 and 6.5.31).
      # Good to about 1e-10 for shapes from 0.05 to 10,000, which is more than any use rate needs.
      class Gamma
        include Value

        fields :shape, :rate

        PRECISION = 1e-13
        MOST_TERMS = 10_000
        MOST_STEPS = 100

        def mean
          shape / rate.to_f
        end

        # @param x [Numeric] in the distribution's own unit, 0 or more
        # @return [Float] probability of a value up to x
        def cdf(x)
          return 0.0 if x <= 0

          scaled = x * rate.to_f
          scaled < shape + 1 ? series(scaled) : 1 - continued_fraction(scaled)
        end

        # @param probability [Float] strictly between 0 and 1
        # @return [Float] the value that is not exceeded with this probability
        # @raise [ArgumentError] when the probability is not strictly between 0 and 1
        def quantile(probability)
          raise ArgumentError, "probability must lie between 0 and 1" unless probability.positive? && probability < 1

          newton(probability, 0.0, upper_bracket(probability))
        end

        private

        def check
          raise ArgumentError, "shape must be positive" unless shape.positive?
          raise ArgumentError, "rate must be positive" unless rate.positive?
        end

        def front(x)
          Math.exp((shape * Math.log(x)) - x - Math.lgamma(shape).first)
        end

        def series(x)
          term = sum = 1.0 / shape
          (1..MOST_TERMS).each do |n|
            term *= x / (shape + n)
            sum += term
            break if term < sum * PRECISION
          end
          sum * front(x)
        end

        def continued_fraction(x)
          b = x + 1 - shape
          c = 1e300
          d = 1 / b
          h = d
          (1..MOST_TERMS).each do |n|
            b += 2
            step = -n * (n - shape)
            d = 1 / ((step * d) + b)
            c = b + (step / c)
            h *= c * d
            break if ((c * d) - 1).abs < PRECISION
          end
          h * front(x)
        end

        def upper_bracket(probability)
          top = [mean, 1e-6].max
          top *= 2 while cdf(top) < probability
          top
        end

        # Newton's steps, held inside a shrinking bracket: a step that leaves it is halved instead.
        def newton(probability, low, high)
          x = [mean, high / 2].min
          MOST_STEPS.times do
            miss = cdf(x) - probability
            break if miss.abs < PRECISION

            miss.negative? ? low = x : high = x
            step = x - (miss / density(x))
            x = step > low && step < high ? step : (low + high) / 2
          end
          x
        end

        def density(x)
          front(x * rate.to_f) / x
        end
      end
    end
  end
end
