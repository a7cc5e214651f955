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

        STAY_ON = 60 # minutes after closing (house rule)

        # @param technician [Technician] one of them
        # @param before [Integer, nil] a moment: only the last evening before it is longer; all are where left out
        # @return [Shop] in which they stay on after closing
        def staying_on(technician, before: nil)
          longer = technician.with(calendar: technician.calendar.longer(open, STAY_ON, before))
          with(technicians: technicians.map { |one| one.id == technician.id ? longer : one })
        end

        private

        def check
          raise ArgumentError, "nobody works" if technicians.empty?
        end
      end
    end
  end
end
