# frozen_string_literal: true

module UprightBench
  module Core
    module Bench
      # The rack has no slot that a part of a job would go into.
      class NoSlot < Error
        # @return [Integer] the job's
        attr_reader :number

        def initialize(number)
          @number = number
          super("no slot of the rack is large enough for job #{number}")
        end
      end
    end
  end
end
