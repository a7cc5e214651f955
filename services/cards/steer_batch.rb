# frozen_string_literal: true

module UprightBench
  module Services
    # Pauses a batch that is leaving, goes on with it, or calls back what has not left. Said twice is said once.
    class SteerBatch
      MOVES = { "pause" => %w[writing leaving], "go_on" => %w[paused], "cancel" => %w[writing leaving paused] }.freeze
      AFTER = { "pause" => %w[paused], "go_on" => %w[writing leaving], "cancel" => %w[cancelled] }.freeze
      CANCELLED = "the batch was cancelled"

      # @param batch [Models::Batch]
      # @param move [String] a key of MOVES
      # @raise [Refused] when there is nothing left to steer
      def self.call(batch, move, by:, at:)
        Permissions.check!(:send_cards, by)
        raise Invalid, { move: ["There is no such thing to do with a batch."] } unless MOVES.key?(move)

        DB.transaction do
          batch.lock!
          next if AFTER.fetch(move).include?(batch.state)
          raise Refused, "This batch is over." unless MOVES.fetch(move).include?(batch.state)

          History.note("batch: #{move.tr('_', ' ')}", batch, by: by, at: at)
          send(move, batch, at)
        end
      end

      def self.pause(batch, _at)
        batch.update(state: "paused")
      end

      # What is half written goes on being written first.
      def self.go_on(batch, _at)
        batch.update(state: batch.written_at ? "leaving" : "writing")
        (batch.written_at ? Outbox::SendBatch : WriteBatch::Work).enqueue(batch.id)
      end

      def self.cancel(batch, at)
        batch.update(state: "cancelled", finished_at: at)
        Outbox::Withdraw.call(batch.messages_dataset.where(state: Models::Message::WAITING), CANCELLED)
      end
      private_class_method :pause, :go_on, :cancel
    end
  end
end
