# frozen_string_literal: true

module UprightBench
  module Drawings
    module Kinds
      # A bin, filled as far as it was found.
      class Bin < Gauges::Container
        SHAPE = "M70 10v56q0 6 6 6h68q6 0 6-6v-56"
        DUE = "empty"

        private

        def limit
          @policy.bin_limit_percent
        end
      end
    end
  end
end
