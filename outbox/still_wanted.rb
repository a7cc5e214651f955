# frozen_string_literal: true

module UprightBench
  module Outbox
    # Asks of cards that are about to leave whether they are still wanted, as Core::Cards::WaitingCard tells it.
    class StillWanted
      # @param messages [Array<Models::Message>] about to leave
      # @param shop [Models::Shop] that writes
      # @param today [Date]
      def initialize(messages, shop:, today:)
        @messages = messages
        @shop = shop
        @today = today
      end

      # Takes off their cards what is no longer to be said.
      # @return [Hash{Models::Message=>String}] what is not wanted at all, with the reason
      def call
        return {} if @messages.empty?

        over = lines_over
        if over.any?
          Models::CardLine.where(Sequel.|(*over.map do |line|
            Sequel.&(card_id: line[:card_id], due_id: line[:due_id])
          end)).update(void: true)
        end
        @messages.to_h { |message| [message, reason(message, over)] }.compact
      end

      private

      def reason(message, over)
        channel = message.channel.to_sym
        Core::Cards::WaitingCard.new(channel: channel, tasks_left: tasks_left(message.card, over),
          **customer_now(message.card.customer, channel)).unwanted
      end

      def tasks_left(card, over)
        (card.lines.map(&:due_id) - voided(card, over)).size
      end

      def customer_now(customer, channel)
        { agreed: customer[Models::Customer::AGREED.fetch(channel)], address: customer.recipient(channel.name, @shop),
          stopped: !customer.stopped_on.nil? }
      end

      def voided(card, over)
        card.lines.select(&:void).map(&:due_id) + over.select { |line| line[:card_id] == card.id }
          .map { |line| line[:due_id] }
      end

      # @return [Array<Hash>] card_id, due_id
      def lines_over # rubocop:disable Metrics/AbcSize -- one query
        in_shop = Models::Job.in_shop.where(machine_id: Sequel[:dues][:machine_id]).select(1).exists
        put_off = Sequel[:snoozed_until] > @today
        gone = { Sequel[:machines][:state] => %w[sold scrapped] }
        Models::CardLine.where(card_id: @messages.map(&:card_id), void: false).join(:dues, id: :due_id)
          .join(:machines, id: Sequel[:dues][:machine_id])
          .where(Sequel.|(Sequel.~(Sequel[:dues][:state] => "open"), put_off, gone, in_shop))
          .naked.select(:card_id, :due_id).all
      end
    end
  end
end
