# frozen_string_literal: true

module UprightBench
  module Core
    module Bench
      # Who works, and what there is of what everybody needs.
      class Shop
        include Value

        # @!attribute technicians [Array<Technician>]
        # @!attribute open [Calendar] when the shop is open
        # @!attribute slots [Array<Slot>, nil] of the rack; nil when nobody counts them
        # @!attribute places [Hash{Symbol=>Integer}] how many there are of what is short, as one wet bench for three
        fields :technicians, :open, slots: nil, places: {}

        private

        def check
          raise ArgumentError, "nobody works" if technicians.empty?
        end
      end
    end
  end
end
