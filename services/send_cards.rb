# frozen_string_literal: true

module UprightBench
  module Services
    # Writes the cards that leave today and queues them. Safe to press twice and from two places at once:
    # each customer is locked while the card is written, and card_lines_once holds whatever happens.
    class SendCards
      # @param by [Models::Person]
      # @param at [Time]
      # @param customer_ids [Array<Integer>, nil] only these customers
      # @return [Array<Models::Card>] those written now
      def self.call(by:, at:, customer_ids: nil)
        new(by, at, customer_ids).call
      end

      def initialize(by, at, customer_ids)
        @by = by
        @at = at
        @customer_ids = customer_ids
        @today = Config::Zone.date(at)
        @policy = Policies.now.cards
      end

      def call
        leaving = DueBook.new(today: @today, policy: @policy).bundles.select(&:leaves_today?).map(&:customer_id)
        leaving &= @customer_ids if @customer_ids
        leaving.filter_map { |customer_id| write(customer_id) }
      end

      private

      def write(customer_id)
        DB.transaction do
          customer = Models::Customer.where(id: customer_id).for_update.first
          bundle = DueBook.new(today: @today, policy: @policy, customer_id: customer_id).bundles.first
          next unless bundle&.leaves_today?

          card = create(customer, bundle)
          Outbox::DeliverMessage.enqueue(message(card, customer).id)
          card
        end
      rescue Sequel::UniqueConstraintViolation => e
        raise unless e.message.include?("card_lines_once")
      end

      def create(customer, bundle)
        card = Models::Card.create(customer_id: customer.id, channel: bundle.channel.to_s, attempt: bundle.attempt, created_by: @by.id,
                                   created_at: @at, code_expires_on: @today + @policy.code_valid_days)
        bundle.lines.each { |task| Models::CardLine.create(card_id: card.id, due_id: task.id, attempt: task.attempts + 1) }
        History.note("carded", card, by: @by, at: @at, data: { dues: bundle.lines.map(&:id) })
        card
      end

      def message(card, customer)
        recipient = card.channel == "email" ? customer.email : [customer.name, customer.street, customer.town].compact.join("\n")
        Models::Message.create(card_id: card.id, channel: card.channel, recipient: recipient)
      end
    end
  end
end
