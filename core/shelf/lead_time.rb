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
        NEWEST = 12       # arrivals looked at (house rule): suppliers change

        # @return [Integer] whole days, rounded up: never late by rounding
        def call
          seen = arrived_days.first(NEWEST)
          (Rational((stated_days * STATED_WEIGHT) + seen.sum) / (STATED_WEIGHT + seen.size)).ceil
        end

        private

        def check
          raise ArgumentError, "days are not negative" if [stated_days, *arrived_days].any?(&:negative?)
        end
      end
    end
  end
end
