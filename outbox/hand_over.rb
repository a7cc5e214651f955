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
        @said = {}
      end

      def call
        cards = Models::Card.where(id: @messages.map(&:card_id)).eager(:customer, :lines).all
        hang(cards.to_h { |card| [card.id, card] })
        unwanted = StillWanted.new(@messages, shop: @shop, today: Config::Zone.date(@at)).call
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
        message.recipient = message.card.customer.recipient(message.channel, @shop)
        @channel.deliver(message, said(message, letters.of(message.card)), @shop)
        [:handed_over, nil]
      rescue Rejected => e
        [:rejected, e.message]
      rescue InDoubt => e
        [:unsure, e.message]
      rescue StandardError => e
        @channel.certain? && @channel.fate(message) == :arrived ? [:handed_over, nil] : [:failed, e.message]
      end

      # @return [Core::Cards::Letter] of which it is remembered what it says
      def said(message, letter)
        @said[message.id] = letter.to_said(Core::Cards::Channels.of(message.channel), most_tasks: most_tasks)
        letter
      end

      def write(outcomes)
        arrived, others = outcomes.partition { |_, (outcome, _)| outcome == :handed_over }
        write_handed_over(arrived.map(&:first))
        others.each { |message, (outcome, why)| send(outcome, message, why.to_s[0, 500]) }
        keep_said((arrived + others.select { |_, (outcome, _)| outcome == :unsure }).map(&:first))
      end

      def write_handed_over(messages)
        elsewhere, here = messages.partition { |message| message.changed_columns.include?(:recipient) }
        Models::Message.where(id: here.map(&:id)).update(handed_over)
        elsewhere.each { |message| message.update(handed_over) }
      end

      KEEP_SAID = "UPDATE messages SET said = new.said FROM jsonb_to_recordset(?::jsonb) " \
                  "AS new (id bigint, said jsonb) WHERE messages.id = new.id"
      private_constant :KEEP_SAID

      # Of what left, or may have left.
      def keep_said(messages)
        rows = messages.map { |message| { id: message.id, said: @said[message.id] } }.select { |row| row[:said] }
        DB[KEEP_SAID, JSON.generate(rows)].update if rows.any?
      end

      def most_tasks
        @most_tasks ||= Papers::CardFace::MOST_TASKS.fetch(Papers::PostCard::Style
          .of(Models::Policy.select_hash(:key, :value)).layout)
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
