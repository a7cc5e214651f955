# frozen_string_literal: true

module UprightBench
  module Services
    # What came back to a card, written down by somebody here.
    module HearAnswer
      VALID_DAYS = 180 # a card older than that is not what a customer answers to (house rule)
      MOST = 8

      module_function

      # The newest card of each customer, while nobody has answered it.
      # @return [Sequel::Dataset] of cards
      def waiting_for_a_call(today:)
        listed = Models::Message.where(channel: "phone", state: "handed_over")
          .where(Sequel[:handed_over_at] > Config::Zone.at(today - VALID_DAYS, 0))
        newest = Models::Card.where(id: listed.select(:card_id)).group(:customer_id).select(Sequel.function(:max, :id))
        Models::Card.where(id: newest, answered_at: nil)
      end

      # The newest card of each customer whom the words name: a part of the name, the last digits of a phone, a serial
      # number.
      # @param who [String]
      # @return [Array<Models::Card>]
      def cards_of(who, today:)
        ids = FindCustomers.call(who).map(&:customer_id).uniq
        newest = Models::Card.where(customer_id: ids).where { created_at > Config::Zone.at(today - VALID_DAYS, 0) }
          .group(:customer_id).select(Sequel.function(:max, :id))
        Models::Card.where(id: newest).eager(:customer, :lines).limit(MOST)
          .all.sort_by { |card| ids.index(card.customer_id) }
      end

      # @param said [Hash] kind, on, weeks, note: as in Core::Cards::AnswerLine
      # @raise [Invalid, Refused]
      def call(card, said, by:, at:)
        return SettleMessage.bounced(card.message, reason: said[:note].to_s, by: by, at: at) if said[:kind] == "bounced"

        AnswerCard.call(card, kind: said[:kind].to_s, weeks: said[:weeks] || 4, drop_off_on: said[:on],
          note: said[:note], how: "phone", by: by, at: at)
      end

      # Nobody picked up: it stays on the list, with how often it was tried.
      def not_reached(card, by:, at:)
        DB.transaction do
          card.update(phone_calls: card.phone_calls + 1, phoned_at: at)
          History.note("called in vain", card, by: by, at: at)
        end
      end
    end
  end
end
