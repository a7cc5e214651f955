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

      # @param left [Sequel::SQL::Expression] the day on which a card left
      # @return [Sequel::SQL::Expression] that a job may have come of it, by its time
      def self.within(left)
        taken_in = Sequel[:jobs][:taken_in_at]
        (taken_in >= left) & (taken_in < left + Sequel.lit("interval '#{CAME_WITHIN_DAYS + 1} days'"))
      end

      # A card brings a machine that it named, and that came after it had left.
      # @return [Sequel::SQL::Expression] of a row of cards and one of jobs
      def self.brought # rubocop:disable Metrics/AbcSize -- one condition
        named = Models::CardLine.where(card_id: Sequel[:cards][:id], void: false).join(:dues, id: :due_id)
          .where(Sequel[:dues][:machine_id] => Sequel[:jobs][:machine_id])
        left = Models::Message.where(card_id: Sequel[:cards][:id])
          .where(Sequel[:handed_over_at] > Sequel[:jobs][:taken_in_at])
        within(Sequel[:cards][:leaves_on]) & named.select(1).exists & Sequel.~(left.select(1).exists)
      end

      # @param today [Date]
      def initialize(today:)
        @today = today
      end

      # @return [Hash{Array(String, Integer)=>Core::Stats::Wilson}] by channel and attempt
      def by_attempt
        shares(all) { |row| row.values_at(:channel, :attempt) }.sort.to_h
      end

      # @return [Hash{String=>Core::Stats::Wilson}] of first cards, in LEADS' order
      def by_lead
        found = shares(all.select { |row| row[:attempt] == 1 }) do |row|
          LEADS.keys.compact.find { |days| row[:ahead] && row[:ahead] >= days }
        end
        LEADS.filter_map { |days, words| [words, found[days]] if found[days] }.to_h
      end

      # @return [Hash{String=>Core::Stats::Wilson}]
      def by_offer
        found = shares(all) { |row| row[:minutes] }
        found.sort_by { |minutes, _| minutes || -1 }.to_h do |minutes, share|
          [minutes ? "#{minutes} minutes free" : "nothing offered", share]
        end
      end

      # @return [Hash{String=>Core::Shelf::ReturnChance}] by channel, of first cards
      def chances
        first = tallied(cards.where(attempt: 1).select(:channel, came.as(:came)), :channel)
        shares(first) { |row| row[:channel] }
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
        @waits ||= begin
          taken_in_on = Sequel.cast(Sequel[:jobs][:taken_in_at], Date)
          days = brought.order(:taken_in_at).limit(1).select(taken_in_on - Sequel[:cards][:leaves_on])
          cards.select(days.as(:days)).from_self.exclude(days: nil).group_and_count(:days).naked.as_hash(:days, :count)
        end
      end

      def shares(rows, &key)
        rows.group_by(&key).transform_values do |alike|
          Core::Stats::Wilson.new(hits: alike.sum { |row| row[:came] }, tries: alike.sum { |row| row[:cards] })
        end
      end

      # Every card is looked at once, for there may be a million.
      # @return [Array<Hash>] channel, attempt, ahead (days), minutes, and how many cards there were and came
      def all
        @all ||= tallied(cards.left_join(:offers, id: :offer_id)
          .select(Sequel[:cards][:channel], :attempt, :minutes, ahead.as(:ahead), came.as(:came)),
          :channel, :attempt, :ahead, :minutes)
      end

      def tallied(cards, *groups)
        count = Sequel.function(:count).*
        cards.from_self.group(*groups).select(*groups, count.as(:cards), count.filter(:came).as(:came)).naked.all
      end

      # Counted from the day on which it left; what reached nobody is not counted.
      def cards
        Models::Card.reached.where(leaves_on: (@today - LOOKED_BACK_DAYS)..(@today - CAME_WITHIN_DAYS))
      end

      # Of a first card; others are not asked for it.
      def ahead
        first_due = Models::CardLine.where(card_id: Sequel[:cards][:id], void: false).join(:dues, id: :due_id)
          .select(Sequel.function(:min, :due_on))
        Sequel.case({ { Sequel[:cards][:attempt] => 1 } => first_due - Sequel[:cards][:leaves_on] }, nil)
      end

      def came
        brought.select(1).exists
      end

      def brought
        Models::Job.where(customer_id: Sequel[:cards][:customer_id]).where(self.class.brought)
      end
    end
  end
end
