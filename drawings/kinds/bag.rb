# frozen_string_literal: true

module UprightBench
  module Drawings
    module Kinds
      # A bag, filled as far as it was found.
      class Bag < Gauges::Container
        SHAPE = "M70 10q-8 30 0 56q0 6 6 6h68q6 0 6-6q8-26 0-56"
        DUE = "change"

        private

        def limit
          @position.measures["change_at_percent"] || @policy.bag_limit_percent
        end
      end
    end
  end
end
