# frozen_string_literal: true

module UprightBench
  module Core
    module Faults
      # A step that comes before a place is reached. It stays open once it is.
      #
      # @!attribute key [String] of the step
      # @!attribute after [Array<String>] openings that come before it
      class Opening
        include Value

        fields :key, :name, :minutes, after: [].freeze

        # @param step [Sheets::Step]
        # @return [Opening]
        def self.of(step)
          new(key: step.key, name: step.name, minutes: step.minutes_to_open, after: step.after)
        end
      end
    end
  end
end
