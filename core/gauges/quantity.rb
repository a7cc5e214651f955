# frozen_string_literal: true

module UprightBench
  module Core
    module Gauges
      # A quantity that gauges and scales write, and people type, as a number with a unit. We keep it in one unit. Each
      # quantity is one file in quantities/.
      #
      #   Quantities::Pressure.parse("80 inH2O")  # => 19.893
      #   Quantities::Flow.parse("65,5")          # => 65.5: without a unit, ours is meant
      class Quantity
        include Value

        # @!attribute key [Symbol] as records name it
        # @!attribute unit [String] in which it is kept and written
        # @!attribute units [Hash{String=>Float}] in small letters => how many of ours one of them is; the usual first
        # @!attribute range [Range] beyond it there is none, in our unit
        # @!attribute least [Float] that no device tells apart, in our unit
        # @!attribute minus [Boolean] whether a minus is left aside, as suction is written with one
        fields :key, :unit, :units, :range, :least, :minus

        LONGEST = 40
        WRITTEN = %r{\A\s*(?<minus>[-−]?)(?<number>\d+(?:[.,]\d+)?)\s*(?<unit>[a-zA-Z₂³/0-9]*)\s*\z}
        NAMED = 5 # units, as examples

        # @param text [String] a number, with its unit or without
        # @return [Float, nil] in our unit; nil when it is none, or beyond what there is
        def parse(text)
          found = WRITTEN.match(text.to_s[0, LONGEST]) or return
          return if found[:minus] != "" && !minus

          factor = found[:unit].empty? ? 1.0 : units[found[:unit].downcase]
          value = found[:number].tr(",", ".").to_f * factor if factor
          value if value && range.cover?(value)
        end

        # @return [Boolean] whether it is measured in that unit
        def unit?(text)
          units.key?(text.downcase)
        end

        # @return [String] as in "12.3 kPa"
        def words(value)
          "#{Units::Figure.words(value.round(1))} #{unit}"
        end

        # @return [String] some of its units, as in "kpa, pa, mbar"
        def units_words
          units.keys.first(NAMED).join(", ")
        end
      end
    end
  end
end
