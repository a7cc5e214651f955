# frozen_string_literal: true

module UprightBench
  module Core
    module Shelf
      # How likely is a customer who got a card to come? From how many came before; while few cards were sent, the
      # usual share is held as if it had been seen on so many cards.
      class ReturnChance
        include Value

        fields cards: 0, came: 0

        USUAL = 0.4 # of those who get a card (house rule)
        AS_IF_SEEN = 20 # cards (house rule)

        # @return [Float]
        def call
          (came + (USUAL * AS_IF_SEEN)) / (cards + AS_IF_SEEN)
        end

        private

        def check
          raise ArgumentError, "no more come than got a card" unless came.between?(0, cards)
        end
      end
    end
  end
end
