# frozen_string_literal: true

module UprightBench
  module Outbox
    # For those who want to be called: handed over, a card stands on the shop's own list of calls, and a person calls.
    class PhoneChannel
      def initialize(_settings); end

      # Tries its words, so that nobody picks up the phone without them.
      # @raise [Core::Cards::Wording::Missing]
      def deliver(_message, letter, _shop)
        letter.phone_script
      end

      def fate(_message)
        :not_arrived
      end

      def certain?
        true
      end
    end
  end
end
