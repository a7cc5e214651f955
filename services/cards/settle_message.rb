# frozen_string_literal: true

module UprightBench
  module Services
    # A person decides about a message of which nobody can tell whether it arrived, that failed too often, or that came
    # back.
    class SettleMessage
      # @param arrived [Boolean] true: it counts as handed over; false: it is sent again
      # @raise [Refused] when there is nothing to decide
      def self.call(message, arrived:, by:, at:)
        DB.transaction do
          message.lock!
          unless %w[unsure given_up].include?(message.state)
            raise Refused, "There is no doubt about this card any more."
          end

          arrived ? message.update(state: "handed_over", handed_over_at: at) : again(message)
          History.note("settled message", message, by: by, at: at, data: { arrived: arrived })
        end
      end

      # It came back: the address is no good, and what it named may go by another channel.
      # @param reason [String] what it says, if anything
      # @raise [Refused] when it has not left
      def self.bounced(message, reason:, by:, at:)
        DB.transaction do
          message.lock!
          next if message.state == "bounced"
          unless Outbox::Reached.came_back(message, reason.strip, at)
            raise Refused, "This card has not left, so it cannot have come back."
          end

          History.note("came back", message, by: by, at: at, data: { reason: reason })
        end
      end

      def self.again(message)
        message.update(state: "queued", tries: 0, next_try_at: nil)
        message.batch.update(state: "leaving", finished_at: nil) if message.batch.state == "done"
        Outbox::SendBatch.enqueue(message.batch_id)
      end
      private_class_method :again
    end
  end
end
