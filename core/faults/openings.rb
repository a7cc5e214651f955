# frozen_string_literal: true

module UprightBench
  module Core
    module Faults
      # What has to be opened on a sheet before its places are reached.
      class Openings
        # @param sheet [Sheets::Sheet]
        def initialize(sheet)
          @sheet = sheet
          @ways = Strip::Ways.new(sheet)
          @needed = {}
        end

        # @param place [String] key of a position
        # @return [Array<String>] keys of the steps that come before it, also those before others
        def needed(place)
          @needed[place] ||= @ways.to([place]).map(&:key)
        end

        # @param places [Array<String>]
        # @return [Array<Opening>] of all of them
        def of(places)
          places.flat_map { |place| needed(place) }.uniq.map { |key| Opening.of(@sheet.step(key)) }
        end
      end
    end
  end
end
