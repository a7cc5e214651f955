# frozen_string_literal: true

module UprightBench
  module Services
    # What came of the cards: how many of those who got one brought a machine within so many days, by channel and attempt, by how
    # long ahead it left, and by what it offered; and which card brought which.
    module CardReturns
      CAME_WITHIN_DAYS = 60 # after a card, for the one to have brought the other (house rule)
      LOOKED_BACK_DAYS = 730
      PAGE = 30
      # days before the first date on it, at least => words; what left later than the date comes last
      LEADS = { 21 => "three weeks ahead or more", 7 => "one to three weeks ahead", 0 => "in the last week", nil => "after the date" }.freeze

      module_function

      # @param today [Date]
      # @return [Hash{Array(String, Integer)=>Core::Stats::Wilson}] by channel and attempt; of cards old enough to have been followed
      def by_attempt(today:)
        shares(cards(today), Sequel[:cards][:channel], Sequel[:cards][:attempt])
      end

      # @return [Hash{String=>Core::Stats::Wilson}] in LEADS' order
      def by_lead(today:)
        first_due = Models::CardLine.where(card_id: Sequel[:cards][:id], void: false).join(:dues, id: :due_id).select(Sequel.function(:min, :due_on))
        ahead = first_due - Sequel[:messages][:leaves_on]
        lead = Sequel.case(LEADS.keys.compact.map { |days| [ahead >= days, days] }, nil)
        found = shares(cards(today).where(Sequel[:cards][:attempt] => 1), lead.as(:lead)).transform_keys(&:first)
        LEADS.filter_map { |days, words| [words, found[days]] if found[days] }.to_h
      end

      # @return [Hash{String=>Core::Stats::Wilson}]
      def by_offer(today:)
        found = shares(cards(today).left_join(:bonuses, id: Sequel[:cards][:bonus_id]), Sequel[:bonuses][:minutes].as(:minutes)).transform_keys(&:first)
        found.sort_by { |minutes, _| minutes || -1 }.to_h { |minutes, share| [minutes ? "#{minutes} minutes free" : "nothing offered", share] }
      end

      # @return [Hash{String=>Core::Shelf::ReturnChance}] by channel, of first cards
      def chances(today:)
        shares(cards(today).where(Sequel[:cards][:attempt] => 1), Sequel[:cards][:channel]).to_h { |(channel), share| [channel, Core::Shelf::ReturnChance.new(cards: share.tries, came: share.hits)] }
      end

      # Each job after a card, and the newest card that had left before.
      # @param card [Models::Card, nil] this one's jobs only
      # @param before [Integer, nil] id of a job: older ones only
      # @return [Array<Hash>] of columns, the newest job first
      def brought(card: nil, before: nil)
        jobs = DB[:jobs].cross_join(newest_before.lateral.as(:card)).join(:customers, id: Sequel[:jobs][:customer_id])
        jobs = jobs.where(card_id: card.id, Sequel[:jobs][:customer_id] => card.customer_id) if card
        jobs = jobs.where(Sequel[:jobs][:id] < before) if before
        jobs.order(Sequel.desc(Sequel[:jobs][:id])).limit(PAGE).select(*JOB, Sequel[:customers][:name], *CARD).all
      end

      JOB = %i[id number taken_in_at].map { |name| Sequel[:jobs][name] }.freeze
      CARD = %i[card_id channel attempt leaves_on].freeze
      private_constant :JOB, :CARD

      def newest_before
        left = Sequel[:messages][:leaves_on]
        reached.where(Sequel[:cards][:customer_id] => Sequel[:jobs][:customer_id]).where(within(left)).order(Sequel.desc(left), Sequel.desc(Sequel[:cards][:id]))
               .limit(1).select(Sequel[:cards][:id].as(:card_id), Sequel[:cards][:channel], Sequel[:cards][:attempt], left)
      end

      def shares(cards, *groups)
        names = groups.each_index.map { |place| :"group_#{place}" }
        asked = groups.zip(names).map { |group, name| (group.is_a?(Sequel::SQL::AliasedExpression) ? group.expression : group).as(name) }
        counted = cards.select(*asked, came.as(:came)).from_self.group(*names).select(*names, Sequel.function(:count).*.as(:cards),
                                                                                      Sequel.function(:count).*.filter(:came).as(:came))
        counted.order(*names).naked.to_h { |row| [row.values_at(*names), Core::Stats::Wilson.new(hits: row[:came], tries: row[:cards])] }
      end

      # Counted from the day on which it left; what reached nobody is not counted.
      def cards(today)
        reached.where(Sequel[:messages][:leaves_on] => (today - LOOKED_BACK_DAYS)..(today - CAME_WITHIN_DAYS))
      end

      def reached
        Models::Card.join(:messages, card_id: :id).where(Sequel[:messages][:state] => %w[handed_over unsure])
      end

      def came
        Models::Job.where(customer_id: Sequel[:cards][:customer_id]).where(within(Sequel[:messages][:leaves_on])).select(1).exists
      end

      # @param left [Sequel::SQL::Expression] the day on which a card left
      def within(left)
        taken_in = Sequel[:jobs][:taken_in_at]
        (taken_in >= left) & (taken_in < left + Sequel.lit("interval '#{CAME_WITHIN_DAYS + 1} days'"))
      end
    end
  end
end
