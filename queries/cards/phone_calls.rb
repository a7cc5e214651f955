# frozen_string_literal: true

module UprightBench
  module Queries
    # Whom to call, and what to say: who was called least before the others.
    class PhoneCalls
      PAGE = 40

      # @param today [Date]
      # @param shop [Models::Shop]
      # @return [Array<Array(Models::Card, Core::Cards::Letter)>] at most PAGE
      def self.call(today:, shop:)
        cards = Services::HearAnswer.waiting_for_a_call(today: today).eager(:customer).order(:phone_calls, :id)
          .limit(PAGE).all
        letters = Outbox::Letters.new(cards, shop: shop)
        cards.map { |card| [card, letters.of(card)] }
      end
    end
  end
end
