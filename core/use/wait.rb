# frozen_string_literal: true

module UprightBench
  module Core
    module Use
      # How long until so many hours have been used, when the rate is a belief Gamma(hours, weeks): the 10 and 90 %
      # points of that wait.
      #
      # Hours come at random (a Poisson process), so that P(T <= t) = P(NegBin(hours, weeks / (weeks + t)) >= H); that
      # is, T / (weeks + T) is a Beta of H and `hours`, and T an F ratio (Johnson, Kemp and Kotz, Univariate Discrete
      # Distributions; Gelman et al., Bayesian Data Analysis, on the Poisson model's predictive distribution). Its
      # points are had from Paulson's approximation of F (1942; Abramowitz & Stegun 26.6.16), within 0.6 % from two
      # hours on; for less, from the Beta itself.
      class Wait
        include Value

        # @!attribute hours, weeks [Float] shape and rate of the belief
        # @!attribute to_come [Numeric] hours, above 0
        fields :hours, :weeks, :to_come

        TENTH = 1.2815515655446004 # standard deviations that leave a tenth beyond (normal distribution tables)
        EXACT_BELOW_HOURS = 2
        SHARES = [0.1, 0.9].freeze

        # @return [Array(Float, Float)] weeks that are not reached in one of ten cases, and in nine of ten
        def bounds
          to_come < EXACT_BELOW_HOURS ? exact : [-TENTH, TENTH].map { |z| weeks * to_come / hours * f_ratio(z) }
        end

        # @return [Array(Float, Float)] the same by the Beta distribution
        def exact
          SHARES.map do |share|
            point = Stats::Beta.new(a: to_come, b: hours).quantile(share)
            weeks * point / (1 - point)
          end
        end

        private

        # Paulson: the cube root of F is nearly normal, which makes a quadratic equation.
        def f_ratio(deviations) # rubocop:disable Metrics/AbcSize -- one formula
          u = 1 / (9.0 * hours)
          v = 1 / (9.0 * to_come)
          square = ((1 - u)**2) - ((deviations**2) * u)
          half = (1 - u) * (1 - v)
          root = Math.sqrt([(half**2) - (square * (((1 - v)**2) - ((deviations**2) * v))), 0].max)
          ((half + (deviations.positive? ? root : -root)) / square)**3
        end

        def check
          raise ArgumentError, "a belief needs hours and weeks" unless hours.positive? && weeks.positive?
          raise ArgumentError, "hours to come must be above 0" unless to_come.positive?
        end
      end
    end
  end
end
