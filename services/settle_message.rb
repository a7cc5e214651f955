# frozen_string_literal: true

module UprightBench
  module Services
    # A person decides about a message of which nobody can tell whether it arrived.
    class SettleMessage
      # @param arrived [Boolean] true: it counts as handed over; false: it is sent again
      # @raise [Refused] when it is not in doubt
      def self.call(message, arrived:, by:, at:)
        DB.transaction do
          message.lock!
          raise Refused, "There is no doubt about this card any more." unless message.state == "unsure"

          message.update(arrived ? { state: "handed_over", handed_over_at: at } : { state: "queued" })
          Outbox::DeliverMessage.enqueue(message.id) unless arrived
          History.note("settled message", message, by: by, at: at, data: { arrived: arrived })
        end
      end
    end
  end
end
