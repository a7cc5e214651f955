# frozen_string_literal: true

module UprightBench
  module Core
    module Use
      # What a strip that is full says: the hours of its scale were used at least, within its weeks. The count is
      # censored (Klein and Moeschberger, Survival Analysis, on censored data).
      #
      # Upon a belief Gamma(a, b), N >= H for a Poisson count of mean rate * w leaves a rate whose mean is
      # (a / b) S(a + 1) / S(a) and whose second moment is a (a + 1) / b^2 S(a + 2) / S(a), where
      # S(a) = P(NegBin(shape a, p = b / (b + w)) >= H). The Gamma of these moments stands for it.
      module AtLeast
        # So unlikely by what was known that only the reading is left to go by.
        LEAST_LIKELY = 1e-12

        module_function

        # @param shape [Float] of the belief
        # @param rate [Float]
        # @param hours [Numeric] at least so many, above 0
        # @param weeks [Numeric] within so many, above 0
        # @return [Array(Float, Float)] shape and rate of the belief afterwards
        def learn(shape, rate, hours, weeks) # rubocop:disable Metrics/AbcSize -- one formula
          return [hours, rate + weeks] if shape.zero? # said not to run at all: the strip knows better

          likely = [0, 1, 2].map { |more| seen(shape + more, rate, hours, weeks) }
          return [shape + hours, rate + weeks] if likely.first < LEAST_LIKELY

          mean = shape / rate * likely[1] / likely[0]
          variance = (shape * (shape + 1) / (rate**2) * likely[2] / likely[0]) - (mean**2)
          [(mean**2) / variance, mean / variance]
        end

        # @return [Float] probability of so many hours or more
        def seen(shape, rate, hours, weeks)
          Stats::NegativeBinomial.new(shape: shape, mean: shape * weeks / rate).at_least(hours)
        end
        private_class_method :seen
      end
    end
  end
end
