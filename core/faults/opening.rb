# frozen_string_literal: true

module UprightBench
  module Core
    module Faults
      # Something that has to come off before a place is reached. It stays open once it is.
      #
      # @!attribute key [String] of the place that comes off
      # @!attribute after [Array<String>] openings that come before it
      class Opening
        include Value

        fields :key, :name, :minutes, after: [].freeze

        HAND = 1.0 # minute to lift something off
        FASTENER = 0.5 # minute for each screw or clip (both common practice, from memory)

        # @param sheet [Sheets::Sheet]
        # @param key [String] of a place
        # @return [Opening]
        def self.of(sheet, key)
          place = sheet.position(key)
          new(key: key, name: place.name, minutes: HAND + (FASTENER * place.fasteners.sum(&:count)),
            after: place.behind)
        end
      end
    end
  end
end
