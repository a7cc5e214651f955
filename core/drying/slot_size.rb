# frozen_string_literal: true

module UprightBench
  module Core
    module Drying
      # How large a slot of the rack a part needs, by its longest side where the sheet gives one, else by its kind.
      module SlotSize
        WORDS = { 1 => "small", 2 => "medium", 3 => "large" }.freeze
        LARGEST = WORDS.keys.max
        SIDES_MM = { 1 => 150, 2 => 300 }.freeze # longest side that still fits (house rule)
        LENGTHS = %i[diameter_mm length_mm width_mm height_mm outer_mm].freeze

        module_function

        # @param place [Sheets::Position]
        # @return [Integer] of WORDS
        def of(place)
          longest = place.measures.transform_keys(&:to_sym).values_at(*LENGTHS).grep(Numeric).max
          return SIDES_MM.find { |_, most| longest <= most }&.first || LARGEST if longest

          place.kind_of_part.slot
        end
      end
    end
  end
end
