# frozen_string_literal: true

module UprightBench
  module Core
    module Bench
      # Something would end after the last day that the plan looks at.
      class BeyondHorizon < Error
        def initialize(message = "it would be ready later than the plan looks ahead")
          super
        end
      end
    end
  end
end
