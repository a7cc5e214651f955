# frozen_string_literal: true

module UprightBench
  module Core
    module Faults
      # One thing that can be wrong with a kind of part, or with how a machine is set.
      #
      # @!attribute words [String] as it is said after the name of the place, as in "clogged"
      # @!attribute observed [Hash{Symbol=>Object}] what a finding of it says (Findings::KINDS): its verdict, and so who
      #   mends it and how, follow from that; empty for a setting
      # @!attribute seen [Float] how often a look at the place shows it, when it is there
      class Fault
        include Value

        fields :key, :words, observed: {}.freeze, seen: 0.9

        private

        def check
          raise ArgumentError, "#{key} is seen always or never" unless seen.positive? && seen <= 1
        end
      end
    end
  end
end
