# frozen_string_literal: true

module UprightBench
  module Outbox
    # Cards on paper: an A6 page for each, in the print tray.
    class PostChannel
      def initialize(settings)
        @tray = Devices::Tray.new(settings.state_dir.join("outbox/post"))
      end

      def deliver(message, letter, shop)
        @tray.put("#{message.key}.pdf", Papers::PostCard.new(letter: letter, address: message.recipient, sender: sender(shop)).render)
      end

      # @return [Symbol] as in MailChannel
      def fate(message)
        @tray.has?("#{message.key}.pdf") ? :arrived : :not_arrived
      end

      private

      def sender(shop)
        "#{shop.name}, #{shop.street}, #{shop.town}"
      end
    end
  end
end
