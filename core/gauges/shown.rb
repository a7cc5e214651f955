# frozen_string_literal: true

module UprightBench
  module Core
    module Gauges
      # What a gauge shows at a moment.
      #
      # @!attribute value [Float] in the unit of its quantity, without its sign
      # @!attribute what [Symbol] key of Quantities
      # @!attribute held [Boolean] whether it holds the number still
      class Shown
        include Value

        fields :value, :what, held: false
      end
    end
  end
end
