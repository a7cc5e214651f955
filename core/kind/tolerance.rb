# frozen_string_literal: true

module UprightBench
  module Core
    class Kind
      # How far a side of a part may be off the size of its place.
      #
      # @!attribute length_share [Float, nil] of the length; nil where the length goes by millimetres too
      # @!attribute mm [Float] of the other sides
      # @!attribute size_decides [Boolean] whether a part that has the size fits by that; else it only looks alike
      class Tolerance
        include Value

        fields :length_share, :mm, :size_decides

        LOOKS_ALIKE = new(length_share: nil, mm: 1.0, size_decides: false)

        # @param side [String]
        # @param wanted [Numeric] mm
        # @return [Numeric] mm
        def of(side, wanted)
          length_share && side == "length_mm" ? wanted * length_share : mm
        end
      end
    end
  end
end
