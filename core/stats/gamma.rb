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

          near = wilson_hilferty(probability)
          newton(probability, near, 0.0, upper_bracket(probability, near))
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

        # The recurrence stands in one piece, as in the handbooks.
        def continued_fraction(x) # rubocop:disable Metrics/AbcSize -- one recurrence
          b = x + 1 - shape
          c = 1e300
          h = d = 1 / b
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

        # A first guess: the cube root of a Gamma is nearly normal (Wilson and Hilferty 1931; Abramowitz & Stegun
        # 26.4.17).
        def wilson_hilferty(probability)
          ninth = 1 / (9.0 * shape)
          root = 1 - ninth + (normal(probability) * Math.sqrt(ninth))
          root.positive? ? mean * (root**3) : mean / 1000
        end

        # Of Abramowitz & Stegun 26.2.23, the lowest power first.
        NORMAL_ABOVE = [2.515517, 0.802853, 0.010328].freeze
        NORMAL_BELOW = [1, 1.432788, 0.189269, 0.001308].freeze
        private_constant :NORMAL_ABOVE, :NORMAL_BELOW

        # Abramowitz & Stegun 26.2.23, good to 4.5e-4, which is enough for a guess.
        def normal(probability)
          tail = Math.sqrt(-2 * Math.log([probability, 1 - probability].min))
          above = tail - (polynomial(NORMAL_ABOVE, tail) / polynomial(NORMAL_BELOW, tail))
          probability < 0.5 ? -above : above
        end

        # @param coefficients [Array<Float>] that of the lowest power first
        def polynomial(coefficients, x)
          coefficients.reverse.inject { |sum, coefficient| (sum * x) + coefficient }
        end

        def upper_bracket(probability, near)
          top = [near * 1.2, 1e-6].max
          top *= 2 while cdf(top) < probability
          top
        end

        # Newton's steps, held inside a shrinking bracket: a step that leaves it is halved instead.
        def newton(probability, near, low, high)
          x = near
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
