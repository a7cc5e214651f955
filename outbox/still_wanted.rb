# frozen_string_literal: true

module UprightBench
  module Outbox
    # A card may wait for days before it leaves. Is it still wanted? What was done meanwhile, or put off, or stands on the bench
    # is taken off it; a customer who stopped us, or took back a channel, gets none.
    class StillWanted
      # @param messages [Array<Models::Message>] about to leave
      # @param today [Date]
      def initialize(messages, today:)
        @messages = messages
        @today = today
      end

      # Takes off their cards what is no longer to be said.
      # @return [Hash{Models::Message=>String}] what is not wanted at all, with the reason
      def call
        return {} if @messages.empty?

        over = lines_over
        Models::CardLine.where(Sequel.|(*over.map { |line| Sequel.&(card_id: line[:card_id], due_id: line[:due_id]) })).update(void: true) if over.any?
        @messages.to_h { |message| [message, reason(message, over)] }.compact
      end

      private

      def reason(message, over)
        customer = message.card.customer
        return "asked us to stop writing" if customer.stopped_on
        return "no longer agrees to #{Core::Cards::Channels::WORDS.fetch(message.channel.to_sym)}" unless customer[Models::Customer::AGREED.fetch(message.channel.to_sym)]
        return "there is no address any more" if customer.recipient(message.channel).to_s.empty?

        "done, put off or on the bench since" if (message.card.lines.map(&:due_id) - voided(message.card, over)).empty?
      end

      def voided(card, over)
        card.lines.select(&:void).map(&:due_id) + over.select { |line| line[:card_id] == card.id }.map { |line| line[:due_id] }
      end

      # @return [Array<Hash>] card_id, due_id
      def lines_over
        in_shop = Models::Job.in_shop.where(machine_id: Sequel[:dues][:machine_id]).select(1).exists
        put_off = Sequel[:snoozed_until] > @today
        gone = { Sequel[:machines][:state] => %w[sold scrapped] }
        Models::CardLine.where(card_id: @messages.map(&:card_id), void: false).join(:dues, id: :due_id).join(:machines, id: Sequel[:dues][:machine_id])
                        .where(Sequel.|(Sequel.~(Sequel[:dues][:state] => "open"), put_off, gone, in_shop)).naked.select(:card_id, :due_id).all
      end
    end
  end
end
