# frozen_string_literal: true

module UprightBench
  module Services
    class ForecastShelf
      # A card is for a customer, not for a part: the first thing that falls due takes along what is due soon after it
      # (Core::Cards::Bundle), which is then asked for sooner than by its own day. Only the first card of each customer
      # is looked at; what comes after it goes by its own day.
      class FirstCards
        # @param today [Date]
        # @param policy [Core::Cards::Policy]
        def initialize(today:, policy:)
          @today = today
          @policy = policy
        end

        # @return [Sequel::Dataset] customer_id, and first_on, the day of what falls due first, today if that is past
        def call
          first_on = Sequel.function(:greatest, Sequel.function(:min, Sequel[:dues][:due_on]), @today)
          Models::Due.running.where(may_card: true, carded_on: nil)
            .where(Sequel.function(:coalesce, :snoozed_until, @today) <= @today)
            .join(:machines, id: Sequel[:dues][:machine_id])
            .exclude(Sequel[:machines][:state] => %w[sold scrapped stored])
            .group(:customer_id).select(:customer_id, first_on.as(:first_on))
        end

        # @param first_on [Sequel::SQL::Expression] of the customer, as `call` has it
        # @param lead [Sequel::SQL::Expression] days before the due date that a card of theirs leaves
        # @return [Sequel::SQL::Expression] the day on which the card with a due leaves, not before today
        def leaves_on(first_on, lead)
          own = leaves(Sequel[:dues][:due_on], lead)
          with_first = Sequel.function(:least, own, leaves(first_on, lead))
          Sequel.case([[Sequel[:dues][:due_on] <= first_on + @policy.bundle_days, with_first]], own)
        end

        private

        def leaves(due_on, lead)
          Sequel.function(:greatest, due_on - lead, Sequel[:dues][:snoozed_until], @today)
        end
      end
    end
  end
end
