# frozen_string_literal: true

module UprightBench
  module Outbox
    # Cards on paper, one PDF each, in the print tray.
    class PostChannel
      def initialize(settings)
        @tray = Devices::Tray.new(settings.state_dir.join("outbox/post"), Devices::Trouble.for("post", settings))
        @style = Papers::PostCard::Style.of(Models::Policy.select_hash(:key, :value))
      end

      def deliver(message, letter, shop)
        card = Papers::PostCard.new(letter: letter, address: message.recipient, sender: shop.sender, style: @style)
        @tray.put("#{message.key}.pdf", card.render, tries: message.tries, to: message.recipient)
      end

      # @return [Symbol] as in EmailChannel
      def fate(message)
        @tray.has?("#{message.key}.pdf") ? :arrived : :not_arrived
      end

      def certain?
        true
      end
    end
  end
end
