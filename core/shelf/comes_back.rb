# frozen_string_literal: true

module UprightBench
  module Core
    module Shelf
      # How likely does a customer come within so many days for what a card tells them? They come some time after the
      # card, if at all; who got it and has not come yet is the less likely to come the longer that is ago (the hazard
      # of a survival time, conditional on having lasted so long: Klein and Moeschberger, Survival Analysis). Each card
      # is another chance: those before may still bring them, and so may the one that follows.
      class ComesBack
        include Value

        # @!attribute card_in [Integer] days until the card leaves; negative when it left so many days ago
        # @!attribute follow_up_in [Integer, nil] days until the next one would
        # @!attribute earlier_in [Array<Integer>] the same of the cards that left before it
        # @!attribute chance [Float] that a card brings them at all
        # @!attribute answers [AnswerDays]
        fields :card_in, :chance, :answers, earlier_in: [], follow_up_in: nil

        # @param days [Integer] from today
        # @return [Float]
        def within(days)
          @within[days] ||= 1 - [card_in, *earlier_in, *follow_up_in].map { |card| stays_away(card, days) }.inject(:*)
        end

        private

        # @return [Float] that this card brings nobody by then, who has not come by today
        def stays_away(card, days)
          (1 - (chance * answers.within(days - card))) / (1 - (chance * answers.within(-card)))
        end

        # What was said once is kept: a large shop asks the same five hundred of thirty thousand dues, week by week.
        def check
          @within = {}
          raise ArgumentError, "a chance lies between 0 and below 1" unless chance >= 0 && chance < 1
        end
      end
    end
  end
end
