# frozen_string_literal: true

module UprightBench
  module Services
    # Everybody who waits for a call, with what to say.
    class PrintedCalls < Printed
      CALLS_A_PAGE = 6 # or more, where there is little to say

      def initialize(**)
        super()
      end

      def name
        "calls"
      end

      # As near as it can be told before it is laid out.
      def pages
        [(waiting.count / CALLS_A_PAGE.to_f).ceil, 1].max
      end

      def parts
        1
      end

      def paper(_part)
        cards = waiting.eager(:customer).order(:phone_calls, :id).all
        letters = Outbox::Letters.new(cards, shop: shop)
        rows = cards.map do |card|
          { **called(card.customer), words: letters.of(card).phone_script, phone_calls: card.phone_calls }
        end
        Papers::CallList.new(shop: shop.name, rows: rows)
      end

      private

      def called(customer)
        { name: customer.name, phone: Formats::PhoneNumber.shown(customer.phone, shop.country) }
      end

      def waiting
        HearAnswer.waiting_for_a_call(today: today)
      end
    end
  end
end
