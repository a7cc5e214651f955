# frozen_string_literal: true

module UprightBench
  module Core
    module Shelf
      # How many to order: up to the level, counting what lies there, what is promised to jobs, and what is on its way;
      # in whole packs.
      class Order
        include Value

        fields :level, :on_shelf, claimed: 0, on_order: 0, pack_pieces: 1

        # @return [Integer] pieces that can be counted on; negative when more is promised than there is
        def free
          on_shelf - claimed + on_order
        end

        # @return [Integer] pieces, a whole number of packs
        def pieces
          missing = level - free
          missing.positive? ? (missing.to_f / pack_pieces).ceil * pack_pieces : 0
        end

        private

        def check
          raise ArgumentError, "a pack holds a piece at least" unless pack_pieces.positive?
        end
      end
    end
  end
end
