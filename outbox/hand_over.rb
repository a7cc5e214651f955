# frozen_string_literal: true

module UprightBench
  module Outbox
    # Hands a slice of claimed messages to their channel, and writes down in one transaction what became of each.
    class HandOver
      MOST_TRIES = 8
      FIRST_WAIT_SECONDS = 60
      LONGEST_WAIT_SECONDS = 6 * 3600

      # @param messages [Array<Models::Message>] being handed over, all on this channel
      # @param channel [#deliver, #fate, #certain?]
      # @param at [Time]
      def initialize(messages, channel, at:)
        @messages = messages
        @channel = channel
        @at = at
        @shop = Models::Shop.the
      end

      def call
        cards = Models::Card.where(id: @messages.map(&:card_id)).eager(:customer, :lines).all
        hang(cards.to_h { |card| [card.id, card] })
        unwanted = StillWanted.new(@messages, today: Config::Zone.date(@at)).call
        letters = Letters.new((@messages - unwanted.keys).map(&:card), shop: @shop)
        outcomes = outcomes(unwanted, letters)
        DB.transaction { write(outcomes) }
      end

      private

      def outcomes(unwanted, letters)
        @messages.to_h do |message|
          [message, unwanted.key?(message) ? [:withdrawn, unwanted[message]] : deliver(message, letters)]
        end
      end

      def hang(cards)
        @messages.each { |message| message.associations[:card] = cards.fetch(message.card_id) }
      end

      # An address that was changed since goes to the new one.
      # @return [Array(Symbol, String)] what became of it, and why
      def deliver(message, letters)
        message.recipient = message.card.customer.recipient(message.channel)
        @channel.deliver(message, letters.of(message.card), @shop)
        [:handed_over, nil]
      rescue Rejected => e
        [:rejected, e.message]
      rescue InDoubt => e
        [:unsure, e.message]
      rescue StandardError => e
        @channel.certain? && @channel.fate(message) == :arrived ? [:handed_over, nil] : [:failed, e.message]
      end

      def write(outcomes)
        elsewhere, arrived = outcomes.select { |_, (outcome, _)| outcome == :handed_over }
          .keys.partition { |message| message.changed_columns.include?(:recipient) }
        Models::Message.where(id: arrived.map(&:id)).update(handed_over)
        elsewhere.each { |message| message.update(handed_over) }
        outcomes.each do |message, (outcome, why)|
          send(outcome, message, why.to_s[0, 500]) unless outcome == :handed_over
        end
      end

      def handed_over
        { state: "handed_over", handed_over_at: @at, last_error: nil, next_try_at: nil }
      end

      def withdrawn(message, why)
        Withdraw.call(Models::Message.where(id: message.id), why)
      end

      def rejected(message, why)
        message.update(state: "rejected", last_error: why, next_try_at: nil)
        Reached.not(message, why, @at)
      end

      def unsure(message, why)
        message.update(state: "unsure", last_error: why)
      end

      # Later each time, and not for ever: then a person decides.
      def failed(message, why)
        return message.update(state: "given_up", last_error: why, next_try_at: nil) if message.tries >= MOST_TRIES

        wait = [FIRST_WAIT_SECONDS * (2**(message.tries - 1)), LONGEST_WAIT_SECONDS].min
        message.update(state: "failed", last_error: why, next_try_at: @at + wait)
      end
    end
  end
end
