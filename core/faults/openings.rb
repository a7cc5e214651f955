# frozen_string_literal: true

module UprightBench
  module Core
    module Faults
      # What has to come off on a sheet before its places are reached.
      class Openings
        # @param sheet [Sheets::Sheet]
        def initialize(sheet)
          @sheet = sheet
        end

        # @param place [String] key of a position
        # @return [Array<String>] places that come off before it, also those before others
        def needed(place)
          found = []
          left = @sheet.position(place).behind.dup
          while (key = left.shift)
            next if found.include?(key)

            found << key
            left.concat(@sheet.position(key).behind)
          end
          found
        end

        # @param places [Array<String>]
        # @return [Array<Opening>] of all of them
        def of(places)
          places.flat_map { |place| needed(place) }.uniq.map { |key| Opening.of(@sheet, key) }
        end
      end
    end
  end
end
