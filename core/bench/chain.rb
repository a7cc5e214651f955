# frozen_string_literal: true

module UprightBench
  module Core
    module Bench
      # What is still to be done for a job, one operation after the other.
      class Chain
        include Value

        # @!attribute number [Integer] the job's
        # @!attribute operations [Array<Operation>]
        # @!attribute promise [Integer, nil] minutes since the beginning of the plan; nil before anything is promised
        fields :number, :operations, promise: nil

        private

        def check
          raise ArgumentError, "nothing is to be done" if operations.empty?
        end
      end
    end
  end
end
