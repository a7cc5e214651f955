# frozen_string_literal: true

module UprightBench
  module Core
    module Shelf
      # How many days does a part take to come? What was stated counts as a few arrivals; each arrival since moves it.
      class LeadTime
        include Value

        # @!attribute stated_days [Integer]
        # @!attribute arrived_days [Array<Integer>] from order to arrival, the newest first
        fields :stated_days, arrived_days: []

        STATED_WEIGHT = 3 # arrivals that the stated days are worth (house rule)
        STATED_SPREAD = 0.3 # of the stated days, as they scatter where nothing arrived yet (house rule)
        NEWEST = 12 # arrivals looked at (house rule): suppliers change

        # @return [Integer] whole days, rounded up: never late by rounding
        def call
          mean.ceil
        end

        # @return [Float] standard deviation, days
        def spread
          arrived = seen.sum { |days| (days - mean)**2 }
          Math.sqrt(((stated_variance * STATED_WEIGHT) + arrived) / (STATED_WEIGHT + seen.size))
        end

        private

        def mean
          Rational((stated_days * STATED_WEIGHT) + seen.sum) / (STATED_WEIGHT + seen.size)
        end

        def stated_variance
          ((stated_days * STATED_SPREAD)**2) + ((stated_days - mean)**2)
        end

        def seen
          arrived_days.first(NEWEST)
        end

        def check
          raise ArgumentError, "days are not negative" if [stated_days, *arrived_days].any?(&:negative?)
        end
      end
    end
  end
end
