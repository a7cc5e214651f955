# frozen_string_literal: true

module UprightBench
  module Services
    # What came of the cards: how many of those who got one brought a machine within so many days, by channel and
    # attempt, by how long ahead it left, and by what it offered. Of cards old enough to have been followed.
    class CardReturns
      CAME_WITHIN_DAYS = 60 # after a card, for the one to have brought the other (house rule)
      LOOKED_BACK_DAYS = 730
      # days before the first date on it, at least => words; what left later than the date comes last
      LEADS = { 21 => "three weeks ahead or more", 7 => "one to three weeks ahead", 0 => "in the last week",
                nil => "after the date" }.freeze

      # @param today [Date]
      def initialize(today:)
        @today = today
      end

      # @return [Hash{Array(String, Integer)=>Core::Stats::Wilson}] by channel and attempt
      def by_attempt
        shares(cards) { |row| row.values_at(:channel, :attempt) }.sort.to_h
      end

      # @return [Hash{String=>Core::Stats::Wilson}] of first cards, in LEADS' order
      def by_lead
        found = shares(first_cards) do |row|
          LEADS.keys.compact.find { |days| row[:ahead] && row[:ahead] >= days }
        end
        LEADS.filter_map { |days, words| [words, found[days]] if found[days] }.to_h
      end

      # @return [Hash{String=>Core::Stats::Wilson}]
      def by_offer
        found = shares(cards) { |row| row[:minutes] }
        found.sort_by { |minutes, _| minutes || -1 }.to_h do |minutes, share|
          [minutes ? "#{minutes} minutes free" : "nothing offered", share]
        end
      end

      # @return [Hash{String=>Core::Shelf::ReturnChance}] by channel, of first cards
      def chances
        shares(first_cards) { |row| row[:channel] }
          .transform_values { |share| Core::Shelf::ReturnChance.new(cards: share.tries, came: share.hits) }
      end

      # @return [Core::Shelf::AnswerDays] how long those who came waited
      def answer_days
        counts = [-1, *Core::Shelf::AnswerDays::STEPS].each_cons(2).map do |from, till|
          waits.sum { |days, cards| days > from && days <= till ? cards : 0 }
        end
        Core::Shelf::AnswerDays.new(counts: counts)
      end

      private

      # @return [Hash{Integer=>Integer}] days from card to job => cards
      def waits
        @waits ||= came(cards).group_by { |row| row[:waited] }.transform_values { |alike| count(alike) }
      end

      def shares(rows, &key)
        rows.group_by(&key).transform_values do |alike|
          Core::Stats::Wilson.new(hits: count(came(alike)), tries: count(alike))
        end
      end

      def came(rows)
        rows.select { |row| row[:waited] }
      end

      def count(rows)
        rows.sum { |row| row[:cards] }
      end

      def first_cards
        cards.select { |row| row[:attempt] == 1 }
      end

      # @return [Array<Hash>] channel, attempt, minutes, ahead and waited (days, or nil), and how many cards
      def cards
        @cards ||= kept + CardResults.of(first_not_kept..(@today - CAME_WITHIN_DAYS))
      end

      # Of the days whose results are known for good.
      def kept
        DB[:card_results].where(leaves_on: (@today - LOOKED_BACK_DAYS)..).group(*CardResults::COLUMNS)
          .select(*CardResults::COLUMNS, Sequel.cast(Sequel.function(:sum, :cards), Integer).as(:cards)).all
      end

      def first_not_kept
        CardResults.first_not_kept(@today)
      end
    end
  end
end
