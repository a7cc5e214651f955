# frozen_string_literal: true

module UprightBench
  module Core
    module Clocks
      # How far a task's clocks have run: when they were started, the events counted since, each kind for itself, the
      # indicator's last reading, and how far gone the place was found. `started_on` nil means unknown history.
      class Progress
        include Value

        # @!attribute counted [Hash{String=>Integer}] what is counted (Kinds::Count::COUNTED) => how many
        # @!attribute counted_on [Date, nil] the day until which it was counted
        # @!attribute load [Float, nil] share of what the interval allows that was found to be gone
        # @!attribute load_step [Float] step of the scale that it was graded on; 0 where it was measured
        # @!attribute load_on [Date, nil] when that was seen
        fields :started_on, counted: {}, counted_on: nil, indicator: nil, indicator_on: nil, load: nil, load_step: 0,
          load_on: nil

        private

        def check
          raise ArgumentError, "an indicator needs its date" if indicator && indicator_on.nil?
          raise ArgumentError, "what was found needs its date" if load && load_on.nil?
          raise ArgumentError, "a count must not be negative" if counted.values.any?(&:negative?)
        end
      end
    end
  end
end
