# frozen_string_literal: true

module UprightBench
  module Queries
    # How far a batch is, and its cards.
    class BatchOverview
      PAGE = 100
      THROUGH_AFTER = %w[queued handing_over failed].freeze # a message in any other state is through
      Message = Struct.new(:id, :card_id, :customer, :channel, :state, :leaves_on, :last_error, keyword_init: true)

      attr_reader :batch

      # @param batch [Models::Batch]
      # @param today [Date]
      def initialize(batch, today:)
        @batch = batch
        @today = today
      end

      # @return [Hash{String=>Integer}] state of a message => how many
      def counts
        @counts ||= @batch.counts
      end

      # @return [Integer]
      def whole
        [@batch.expected, counts.values.sum].max
      end

      # @return [Integer] messages of which nothing more is to come
      def through
        counts.except(*THROUGH_AFTER).values.sum
      end

      # @return [Hash{String=>Integer}] channel => messages
      def channels
        @channels ||= @batch.messages_dataset.unordered.group_and_count(:channel).naked.as_hash(:channel, :count)
      end

      # @return [Boolean] whether it will be further in a moment
      def moving?
        return @batch.state == "writing" unless @batch.state == "leaving"

        counts.slice(*THROUGH_AFTER).values.sum.zero? ||
          @batch.messages_dataset.where(state: %w[queued handing_over]).where(Sequel[:leaves_on] <= @today).any?
      end

      # @return [Array(Integer, Date), nil] how many wait for a later day, and the next one; nil when none does
      def waiting
        return if @batch.finished_at

        later = @batch.messages_dataset.unordered.where(state: "queued").where(Sequel[:leaves_on] > @today)
        count, next_on = later.get([Sequel.function(:count).*.as(:count),
                                    Sequel.function(:min, :leaves_on).as(:next_on)])
        [count, next_on] if count.positive?
      end

      # @param after [Integer] a message's id: only what comes after it
      # @return [Array<Message>] at most PAGE
      def messages(after: 0)
        @batch.messages_dataset.where(Sequel[:messages][:id] > after).join(:cards, id: :card_id)
          .join(:customers, id: Sequel[:cards][:customer_id]).naked.order(Sequel[:messages][:id]).limit(PAGE)
          .select(*message_columns).map { |row| Message.new(**row) }
      end

      def message_columns
        %i[id state channel].map { |name| Sequel[:messages][name] } +
          [:last_error, :leaves_on, :card_id, Sequel[:customers][:name].as(:customer)]
      end
    end
  end
end
