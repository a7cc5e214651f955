# frozen_string_literal: true

module UprightBench
  module Outbox
    # Takes back messages that have not left: they stay on record with the reason, and their tasks are free for another
    # card.
    module Withdraw
      module_function

      # @param messages [Sequel::Dataset]
      # @param reason [String]
      def call(messages, reason)
        rows = messages.returning(:card_id).update(state: "withdrawn", last_error: reason, next_try_at: nil)
        Reached.void(rows.map { |row| row[:card_id] })
      end
    end
  end
end
