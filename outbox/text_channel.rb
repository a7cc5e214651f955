# frozen_string_literal: true

module UprightBench
  module Outbox
    # Cards as text messages, handed to a gateway. What ships is a stand-in; a real one takes the same parts.
    class TextChannel
      def initialize(settings)
        @gateway = Devices::TextGateway.new(settings.state_dir.join("outbox/text"),
          Devices::Trouble.for("text", settings))
      end

      # @param message [Models::Message]
      # @param letter [Core::Cards::Letter]
      # @raise [Rejected]
      def deliver(message, letter, _shop)
        @gateway.submit(message.key, to: message.recipient, gsm: Core::Cards::Gsm.new(text: letter.short),
          tries: message.tries)
      end

      # @param notice [Models::Notice]
      # @raise [Rejected]
      def tell(notice, _shop)
        @gateway.submit(notice.key, to: notice.recipient, gsm: Core::Cards::Gsm.new(text: notice.body),
          tries: notice.tries)
      end

      # @return [Symbol] as in EmailChannel
      def fate(message)
        @gateway.has?(message.key) ? :arrived : :not_arrived
      end

      def certain?
        true
      end
    end
  end
end
