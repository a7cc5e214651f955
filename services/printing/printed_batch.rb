# frozen_string_literal: true

module UprightBench
  module Services
    # The cards of a batch that go by post and were not taken back, several on a sheet.
    class PrintedBatch < Printed
      # @param batch [Integer] its id
      # @param sheet [String] a key of Core::Units::SheetSize::ALL
      def initialize(batch:, sheet: Core::Units::SheetSize::USUAL)
        super()
        @batch = batch
        @sheet = sheet
      end

      def name
        "batch-#{@batch}"
      end

      def pages
        @pages ||= (cards.count / on_a_sheet.to_f).ceil
      end

      def paper(part)
        found = slice(cards.order(:id).eager(:customer), part, rows_a_page: on_a_sheet)
        letters = Outbox::Letters.new(found, shop: shop)
        Papers::CardSheet.new(cards: found.map do |card|
          { letter: letters.of(card), address: card.customer.recipient("post", shop) }
        end, sender: shop.sender, style: style, sheet: @sheet)
      end

      private

      def cards
        kept = Models::Message.where(batch_id: @batch).exclude(state: %w[withdrawn rejected]).select(:card_id)
        Models::Card.where(batch_id: @batch, channel: "post", id: kept)
      end

      def on_a_sheet
        Papers::CardSheet.on_a_sheet(style.format, @sheet)
      end

      def style
        @style ||= Policies.now.then do |policies|
          Papers::PostCard::Style.of("card_size" => policies["card_size"], "card_layout" => policies["card_layout"])
        end
      end
    end
  end
end
