# frozen_string_literal: true

module UprightBench
  module Core
    module Fit
      # A box that a part is sold in. `contents` says how many pieces of each kind are in it; with none given, the part
      # is a single piece and fills one place.
      class Box
        include Value

        fields contents: {}

        # One box fills places of each kind that is in it, so the shop does not buy a second box for the second kind.
        # @param kinds [Array<Symbol>] of the places it is to fill
        # @return [Integer] boxes it takes
        def for_places(kinds)
          return kinds.size if contents.empty?

          kinds.tally.map { |kind, places| (places.to_f / contents.fetch(kind.to_s, 1)).ceil }.max || 0
        end

        # @param kinds [Array<Symbol>] of the places that were filled
        # @return [Hash{String=>Integer}] pieces that are left, by their kind
        def left_of(kinds)
          boxes = for_places(kinds)
          contents.to_h { |kind, pieces| [kind, (pieces * boxes) - kinds.count(kind.to_sym)] }
            .select { |_, pieces| pieces.positive? }
        end
      end
    end
  end
end
