# frozen_string_literal: true

module UprightBench
  module Services
    # What came of the cards: how many of those who got one brought a machine within so many days, by channel and attempt.
    module CardReturns
      CAME_WITHIN_DAYS = 60 # after a card, for the one to have brought the other (house rule)
      LOOKED_BACK_DAYS = 730

      module_function

      # @param today [Date]
      # @return [Hash{Array(String, Integer)=>Core::Stats::Wilson}] by channel and attempt; of cards old enough to have been followed
      def by_attempt(today:)
        counted(cards(today), :channel, :attempt).to_h { |row| [row.values_at(:channel, :attempt), Core::Stats::Wilson.new(hits: row[:came], tries: row[:cards])] }
      end

      # @return [Hash{String=>Core::Shelf::ReturnChance}] by channel, of first cards
      def chances(today:)
        counted(cards(today).where(attempt: 1), :channel).to_h { |row| [row[:channel], Core::Shelf::ReturnChance.new(**row.slice(:cards, :came))] }
      end

      def counted(cards, *groups)
        cards.group(*groups).select(*groups, Sequel.function(:count).*.as(:cards), Sequel.function(:count).*.filter(came).as(:came)).order(*groups).naked.all
      end

      def cards(today)
        Models::Card.where(created_at: Config::Zone.at(today - LOOKED_BACK_DAYS, 0)..Config::Zone.at(today - CAME_WITHIN_DAYS, 0))
      end

      def came
        sent = Sequel[:cards][:created_at]
        Models::Job.where(customer_id: Sequel[:cards][:customer_id]).where { taken_in_at >= sent }
                   .where { taken_in_at <= sent + Sequel.lit("interval '#{CAME_WITHIN_DAYS} days'") }.select(1).exists
      end
    end
  end
end
