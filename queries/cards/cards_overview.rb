# frozen_string_literal: true

module UprightBench
  module Queries
    # What the page of the cards shows beside the list of those that leave.
    class CardsOverview
      HORIZON_DAYS = 52 * 7
      MOST = 200 # of a list; the others are counted
      BATCHES = 6
      Attention = Struct.new(:card_id, :customer, :channel, :state, :last_error, keyword_init: true)

      # @param today [Date]
      # @param policy [Core::Cards::Policy]
      def initialize(today:, policy:)
        @today = today
        @policy = policy
      end

      # @return [Hash{Integer=>Integer}] week from today (-1 for what is overdue) => tasks that fall due in it
      def weeks
        counts = Services::DueBook.weeks(today: @today, days: HORIZON_DAYS, policy: @policy)
        (-1...(HORIZON_DAYS / 7)).to_h { |week| [week, counts.fetch(week, 0)] }
      end

      # @return [Array<Models::Batch>] the newest first
      def batches
        Models::Batch.order(Sequel.desc(:id)).limit(BATCHES).all
      end

      # @return [Array<Attention>] cards that a person must decide about
      def need_attention
        columns = %i[state channel card_id].map { |name| Sequel[:messages][name] }
        Models::Message.for_a_person.join(:cards, id: :card_id).join(:customers, id: Sequel[:cards][:customer_id]).naked
          .order(Sequel[:messages][:id]).limit(MOST)
          .select(*columns, :last_error, Sequel[:customers][:name].as(:customer))
          .map { |row| Attention.new(**row) }
      end
    end
  end
end
