# frozen_string_literal: true

module UprightBench
  module Services
    # Each card beside what it brought, alike ones together. A large shop has a million cards, and what came of one no
    # longer changes once it was followed long enough: then its day is counted for good.
    module CardResults
      COLUMNS = %i[channel attempt minutes ahead waited].freeze
      WITHIN = Sequel.lit("interval '#{CardReturns::CAME_WITHIN_DAYS + 1} days'")
      private_constant :WITHIN

      module_function

      # Counts the days that have become final and were not counted yet.
      # @param today [Date]
      def keep(today:)
        DB.transaction do
          OneAtATime.wait("card results", "days")
          final = first_not_kept(today)...(today - CardReturns::CAME_WITHIN_DAYS)
          DB[:card_results].insert([:leaves_on, *COLUMNS, :cards], rows(final, :leaves_on, *COLUMNS))
        end
      end

      # @param today [Date]
      # @return [Date] that the shop still looks back at
      def first_not_kept(today)
        last = DB[:card_results].max(:leaves_on)
        [last && (last + 1), today - CardReturns::LOOKED_BACK_DAYS].compact.max
      end

      # @param days [Range<Date>] on which they left
      # @return [Array<Hash>] COLUMNS (days, or nil), and how many cards
      def of(days)
        rows(days, *COLUMNS).all
      end

      # A card brings a machine that it named, and that came after it had left.
      # @return [Sequel::SQL::Expression] of a row of cards that reached somebody, one of its dues and one of jobs
      def brought
        card = Sequel[:cards]
        job = Sequel[:jobs]
        came_on = came_on(job[:taken_in_at])
        had_left = Sequel.function(:coalesce, card[:handed_over_at] <= job[:taken_in_at], true)
        Sequel.&({ job[:customer_id] => card[:customer_id], job[:machine_id] => Sequel[:dues][:machine_id] },
          came_on >= card[:leaves_on], came_on < card[:leaves_on] + WITHIN, had_left)
      end

      # First each beside what it brought, then the alike ones together.
      def rows(days, *columns)
        per_card(days).from_self.group(*columns).select(*columns, Sequel.function(:count).*.as(:cards)).naked
      end

      # What reached nobody is not counted.
      def per_card(days)
        card = Sequel[:cards]
        alike = %i[leaves_on channel attempt].map { |name| card[name] }
        Models::Card.reached.where(card[:leaves_on] => days).beside_dues.left_join(:jobs, brought)
          .left_join(:offers, { id: card[:offer_id] }).group(card[:id], *alike, :minutes)
          .select(*alike, :minutes, ahead.as(:ahead), waited.as(:waited))
      end

      # Of a first card; others are not asked for it.
      def ahead
        days = Sequel.function(:min, Sequel[:dues][:due_on]) - Sequel[:cards][:leaves_on]
        Sequel.case({ { Sequel[:cards][:attempt] => 1 } => days }, nil)
      end

      # Counted from the day on which it left, until the first that came of it.
      def waited
        came_on(Sequel.function(:min, Sequel[:jobs][:taken_in_at])) - Sequel[:cards][:leaves_on]
      end

      def came_on(moment)
        Config::Zone.date_of(moment)
      end
      private_class_method :rows, :per_card, :ahead, :waited, :came_on
    end
  end
end
