# frozen_string_literal: true

require "que"

module UprightBench
  module Services
    # Writes the cards of a batch, some customers at a time, each of them locked and asked for again: card_lines_once
    # holds whatever happens. Begun again after a crash it goes on where it was.
    class WriteBatch
      SLICE = 500

      # The queue's job.
      class Work < Que::Job
        def run(batch_id)
          WriteBatch.call(Models::Batch.with_pk!(batch_id), at: Time.now)
        end
      end

      # @param batch [Models::Batch]
      # @return [Models::Batch]
      def self.call(batch, at:)
        new(batch, at).call
      end

      def initialize(batch, at)
        @batch = batch
        @at = at
        @today = Config::Zone.date(at)
        @policies = Policies.now
        @offers = Offers.new(today: @today)
      end

      def call
        return @batch unless @batch.state == "writing"

        customers = choose
        customers.each_slice(SLICE) { |ids| DB.transaction { write(ids) } if writing? }
        leave
      end

      private

      def book(customer_ids = nil)
        DueBook.new(today: @today, policies: @policies, until_on: @batch.until_on, customer_ids: customer_ids)
      end

      # @return [Array<Integer>] customers
      def choose
        whole = book(@batch.chosen&.to_a)
        unticked, leaving = whole.leaving.map(&:customer_id).partition { |id| @batch.without.to_a.include?(id) }
        @batch.update(expected: @batch.cards_dataset.count + leaving.size,
          left_out: Sequel.pg_jsonb(left_out(whole, unticked.size)))
        leaving
      end

      # @return [Hash{String=>Integer}] why => how many
      def left_out(whole, unticked)
        (whole.left_out.values.map(&:counted_as) + (["unticked"] * unticked)).tally
      end

      # A batch may be cancelled while it is written.
      def writing?
        @batch.refresh.state == "writing"
      end

      def write(customer_ids)
        customers = Models::Customer.where(id: customer_ids).order(:id).for_update.as_hash(:id)
        bundles = book(customers.keys).leaving
        return if bundles.empty?

        ids = DB[:cards].import(CARD, bundles.map { |bundle| card(bundle, customers.fetch(bundle.customer_id)) },
          return: :primary_key)
        fill(ids.zip(bundles), customers)
      end

      def fill(cards, customers)
        DB[:card_lines].import(LINE, lines(cards))
        DB[:messages].import(MESSAGE, cards.map do |id, bundle|
          message(id, bundle, customers.fetch(bundle.customer_id))
        end)
        DB[:events].import(EVENT, cards.map { |id, bundle| event(id, bundle) })
      end

      CARD = %i[customer_id channel attempt created_by created_at code_expires_on batch_id offer_id].freeze
      LINE = %i[card_id due_id attempt leaves_on price_cents].freeze
      MESSAGE = %i[card_id channel recipient batch_id leaves_on].freeze
      EVENT = %i[verb subject subject_id at person_id actor data].freeze
      private_constant :CARD, :LINE, :MESSAGE, :EVENT

      def card(bundle, customer)
        [customer.id, bundle.channel.to_s, bundle.attempt, @batch.created_by, @at,
         leaves_on(bundle) + @policies.cards.code_valid_days, @batch.id,
         @offers.for(customer, bundle)&.id]
      end

      def lines(cards)
        prices = CardPrices.call(cards.flat_map { |_, bundle| bundle.lines.map(&:id) }, policies: @policies)
        cards.flat_map do |id, bundle|
          bundle.lines.map { |task| [id, task.id, task.attempts + 1, leaves_on(bundle), prices[task.id]] }
        end
      end

      def message(id, bundle, customer)
        [id, bundle.channel.to_s, customer.recipient(bundle.channel.to_s, shop), @batch.id, leaves_on(bundle)]
      end

      def event(id, bundle)
        ["carded", "cards", id, @at, sender.id, sender.name, Sequel.pg_jsonb(dues: bundle.lines.map(&:id))]
      end

      def shop
        @shop ||= Models::Shop.the
      end

      def sender
        @sender ||= Models::Person.with_pk!(@batch.created_by)
      end

      def leaves_on(bundle)
        @batch.at_once ? @policies.schedule.open_day(@today) : bundle.leaves_on
      end

      def leave
        DB.transaction do
          @batch.lock!
          if @batch.state == "writing"
            @batch.update(state: "leaving", written_at: @at, expected: @batch.cards_dataset.count)
            Outbox::SendBatch.enqueue(@batch.id)
          end
        end
        @batch
      end
    end
  end
end
