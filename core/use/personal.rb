# frozen_string_literal: true

module UprightBench
  module Core
    module Use
      # How a household treats a place of its machine, against what was expected of it: what was found in the jobs over
      # what the clock predicted. The geometric mean of all jobs, in which the prior counts as two jobs that found just
      # what was expected (house rule), kept within bounds. One job says no more than twice or half: with the prior of
      # two it moves the factor by a quarter at most. The next interval is divided by it.
      #
      #   Personal.new(ratios: [2.0, 1.6]).factor  # => 1.34
      class Personal
        include Value

        # @!attribute ratios [Array<Numeric>] found over predicted, a job each, the newest first
        fields ratios: []

        PRIOR_JOBS = 2
        LEAST = 0.5
        MOST = 2.0
        OF_ONE_JOB = (0.5..2.0) # a ratio beyond says no more (house rule)
        NEWEST = 12 # jobs looked at (house rule): households change
        # A job early in the interval says little: what was predicted then is too near nothing (house rule).
        LEAST_EXPECTED = 0.25

        # @!attribute factor
        #   @return [Float] LEAST to MOST
        attr_reader :factor

        # @return [Hash{Symbol=>Object}] of the reason for a date; empty when nothing was found yet
        def figures
          return {} if ratios.empty?

          { personal: factor.round(2), gone: factor >= 1 ? :further : :less, jobs: ratios.size }
        end

        private

        def check
          raise ArgumentError, "a ratio is above 0" unless ratios.all?(&:positive?)

          logarithms = ratios.sum { |ratio| Math.log(ratio.clamp(OF_ONE_JOB)) }
          @factor = Math.exp(logarithms / (ratios.size + PRIOR_JOBS)).clamp(LEAST, MOST)
        end
      end
    end
  end
end
