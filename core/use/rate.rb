# frozen_string_literal: true

module UprightBench
  module Core
    module Use
      # How many hours a week a machine runs, as a belief with an interval.
      #
      # Gamma-Poisson updating (Gelman et al., Bayesian Data Analysis, the Poisson model with exposure):
      # the stated figure counts as if it had been seen over STATED_WEEKS; each reading adds its hours to
      # the shape and its weeks to the rate, times its weight.
      #
      #   Use::Rate.from(stated_hours_per_week: 5, evidence: [], today:).mean   # => 5.0
      class Rate
        include Value

        fields :hours, :weeks, assumed: false

        STATED_WEEKS = 8.0 # house rule
        ASSUMED_HOURS_PER_WEEK = 1.0 # common practice: an hour a week
        INTERVAL = 0.8 # of the belief lies between low and high (house rule)

        # @param stated_hours_per_week [Numeric, nil] what the customer said; nil when nothing was said
        # @param evidence [Array<Evidence>]
        # @param today [Date]
        # @return [Rate]
        def self.from(stated_hours_per_week:, today:, evidence: [])
          assumed = stated_hours_per_week.nil? && evidence.empty?
          stated = assumed ? ASSUMED_HOURS_PER_WEEK : stated_hours_per_week
          prior_weeks = stated ? STATED_WEEKS : 0.0
          weighed = evidence.map { |reading| [reading, reading.weight(today)] }
          new(hours: (stated.to_f * prior_weeks) + weighed.sum { |reading, weight| reading.hours * weight },
            weeks: prior_weeks + weighed.sum { |reading, weight| reading.weeks * weight },
            assumed: assumed)
        end

        # @return [Float] hours a week
        def mean
          hours / weeks.to_f
        end

        def zero?
          hours.zero?
        end

        # @return [Float] hours a week that are exceeded in nine of ten cases
        def low
          zero? ? 0.0 : gamma.quantile((1 - INTERVAL) / 2)
        end

        # @return [Float] hours a week that are exceeded in one of ten cases
        def high
          zero? ? 0.0 : gamma.quantile((1 + INTERVAL) / 2)
        end

        # How fast the coming hours may go by: the rate's own uncertainty, and that of the hours themselves, which come
        # at random. The wait for so many events of a Poisson process whose rate is Gamma has, to the first order, the
        # squared relative spread 1/shape + 1/events; a Gamma of that spread stands for it. Without the second term the
        # date on which they are used up would lie between the bounds in little more than half of all cases.
        # @param hours_to_come [Numeric] above 0
        # @return [Array(Float, Float)] hours a week, exceeded in nine of ten cases and in one of ten
        def bounds_over(hours_to_come)
          return [0.0, 0.0] if zero?

          shape = 1 / ((1.0 / hours) + (1.0 / hours_to_come))
          Stats::Gamma.new(shape: shape, rate: shape / mean).near_bounds(INTERVAL)
        end

        # @return [Reason]
        def reason
          return Reason.of(:stored) if zero?

          Reason.of(assumed ? :assumed_use : :known_use, mean: mean.round(1), low: low.round(1), high: high.round(1))
        end

        private

        def check
          raise ArgumentError, "hours must not be negative" if hours.negative?
          raise ArgumentError, "weeks must be positive" unless weeks.positive?
        end

        def gamma
          Stats::Gamma.new(shape: hours, rate: weeks)
        end
      end
    end
  end
end
