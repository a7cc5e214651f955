# frozen_string_literal: true

module UprightBench
  module Core
    module Use
      # How many hours a week a machine runs, as a belief with an interval: a Gamma of shape `hours` and rate `weeks`.
      #
      # What was said is a Gamma of shape 8 whose mean is 1.06 times the figure: people's figures scatter by a third
      # about the truth, whatever they are, and the mean of a log-normal scatter of 0.35 is exp(0.35^2 / 2) = 1.063 of
      # its middle (house rule). Each reading adds its hours to the shape and its weeks to the rate, times its weight
      # (Gelman et al., Bayesian Data Analysis, the Poisson model with exposure); one that says "at least" is taken as
      # censored (AtLeast).
      #
      #   Use::Rate.from(stated_hours_per_week: 5, evidence: [], today:).mean   # => 5.3
      class Rate
        include Value

        fields :hours, :weeks, assumed: false

        STATED_SHAPE = 8.0        # house rule
        MEAN_OVER_STATED = 1.06   # see above
        ASSUMED_HOURS_PER_WEEK = 1.0 # common practice: an hour a week
        INTERVAL = 0.8 # of the belief lies between low and high (house rule)

        class << self
          # @param stated_hours_per_week [Numeric, nil] what the customer said; nil when nothing was said
          # @param evidence [Array<Evidence>]
          # @param today [Date]
          # @return [Rate]
          def from(stated_hours_per_week:, today:, evidence: [])
            full, exact = Evidence.newest_of_each(evidence).partition(&:at_least)
            assumed = stated_hours_per_week.nil? && evidence.empty?
            prior = prior(stated_hours_per_week || (ASSUMED_HOURS_PER_WEEK if exact.empty?))
            belief = exact.inject(prior) { |(hours, weeks), reading| add(hours, weeks, *reading.weighed(today)) }
            hours, weeks = full.inject(belief) { |known, reading| AtLeast.learn(*known, *reading.weighed(today)) }
            new(hours: hours, weeks: weeks, assumed: assumed)
          end

          private

          # @return [Array(Float, Float)] shape and rate
          def prior(stated)
            return [0.0, 0.0] if stated.nil?
            return [0.0, STATED_SHAPE] if stated.zero?

            [STATED_SHAPE, STATED_SHAPE / (MEAN_OVER_STATED * stated)]
          end

          def add(hours, weeks, more_hours, more_weeks)
            [hours + more_hours, weeks + more_weeks]
          end
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

        # How long until so many hours are used: the rate's own uncertainty, and that of the hours themselves.
        # @param hours_to_come [Numeric] above 0
        # @return [Array(Float, Float), nil] weeks, not reached in one of ten cases and in nine of ten; nil when nothing
        #   is used
        def weeks_until(hours_to_come)
          Wait.new(hours: hours, weeks: weeks, to_come: hours_to_come).bounds unless zero?
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
