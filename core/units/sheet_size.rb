# frozen_string_literal: true

module UprightBench
  module Core
    module Units
      # The sheets that a shop prints on, upright: of ISO 216, or of North America (ANSI/ASME Y14.1).
      class SheetSize
        include Value

        # @!attribute name [String] as in "8 on a sheet of A4"
        # @!attribute words [String] as the shop rules say it
        # @!attribute whole [Array(Numeric, Numeric)] mm
        # @!attribute half [Array(Numeric, Numeric)] mm
        fields :name, :words, :whole, :half

        ALL = {
          "a4" => new(name: "A4", words: "A4, and A5 for half a sheet", whole: [210, 297], half: [148, 210]),
          "letter" => new(name: "letter", words: "Letter, and half letter (5½ × 8½ inches)", whole: [215.9, 279.4],
            half: [139.7, 215.9])
        }.freeze
        USUAL = ALL.keys.first

        # @param key [String] of ALL
        # @raise [KeyError]
        def self.of(key)
          ALL.fetch(key)
        end

        # @param part [Symbol] :whole or :half
        # @return [Array(Numeric, Numeric)] mm
        def mm(part)
          { whole: whole, half: half }.fetch(part)
        end
      end
    end
  end
end
