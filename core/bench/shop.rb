# frozen_string_literal: true

module UprightBench
  module Core
    module Bench
      # Who works, and what there is of what everybody needs.
      class Shop
        include Value

        MINUTES_FOR_ONE_MORE = Policies::Table.default("minutes_for_one_more")

        # @!attribute technicians [Array<Technician>]
        # @!attribute open [Calendar] when the shop is open
        # @!attribute slots [Array<Slot>, nil] of the rack; nil when nobody counts them
        # @!attribute places [Hash{Symbol=>Integer}] how many there are of what is short, as one wet bench for three
        # @!attribute minutes_for_one_more [Integer] that a promise may be later for one more of a hundred that is kept
        fields :technicians, :open, slots: nil, places: {}, minutes_for_one_more: MINUTES_FOR_ONE_MORE

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
