# frozen_string_literal: true

module UprightBench
  module Core
    module Bench
      # Nobody who works here may do what a job needs.
      class Impossible < Error
        # @return [Integer] the job's
        attr_reader :number

        def initialize(number)
          @number = number
          super("nobody may do what job #{number} needs")
        end
      end
    end
  end
end
