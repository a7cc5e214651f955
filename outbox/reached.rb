# frozen_string_literal: true

module UprightBench
  module Outbox
    # What it means when a card did not reach anybody.
    module Reached
      module_function

      # The address is noted as no good, and the card's tasks are free for another channel.
      # @param message [Models::Message]
      # @param reason [String]
      # @param at [Time]
      def not(message, reason, at)
        void([message.card_id])
        fault = { customer_id: message.card.customer_id, channel: message.channel, address: address(message) }
        return unless fault[:address]

        Models::ChannelFault.dataset.insert_conflict.insert(**fault, reason: reason[0, 300], noted_at: at)
      end

      # What is noted as no good: of a postal address, the street.
      def address(message)
        message.channel == "post" ? message.card.customer.street : message.recipient
      end

      # It left, and was returned. Once: who says so again changes nothing.
      # @param message [Models::Message]
      # @param reason [String] what it says, if anything
      # @return [Boolean] false when it has not left, or came back before
      def came_back(message, reason, at)
        DB.transaction do
          message.lock!
          next false unless %w[handed_over unsure].include?(message.state)

          reason = "it came back" if reason.empty? || message.card.customer.forgotten_on # it would name the address
          message.update(state: "bounced", handed_over_at: message.handed_over_at || at, last_error: reason[0, 500])
          self.not(message, reason, at)
          true
        end
      end

      # @param card_ids [Array<Integer>]
      def void(card_ids)
        Models::CardLine.where(card_id: card_ids).update(void: true)
      end
    end
  end
end
