# frozen_string_literal: true

module UprightBench
  module Core
    module Clocks
      # How far a task's clocks have run: when they were started, the events counted since, and the
      # indicator's last reading. `started_on` nil means unknown history.
      class Progress
        include Value

        fields :started_on, counted: 0, counted_on: nil, indicator: nil, indicator_on: nil

        private

        def check
          raise ArgumentError, "an indicator needs its date" if indicator && indicator_on.nil?
          raise ArgumentError, "a count must not be negative" if counted.negative?
        end
      end
    end
  end
end
