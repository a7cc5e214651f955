# frozen_string_literal: true

module UprightBench
  module Core
    module Bench
      # Something would end after the last day that the plan looks at.
      class BeyondHorizon < Error
      end
    end
  end
end
