# frozen_string_literal: true

module UprightBench
  module Services
    # Which card brought which machine: each job after a card, and the newest card that had left before.
    module Brought
      PAGE = 30

      module_function

      # @param card [Models::Card, nil] this one's jobs only
      # @param before [Integer, nil] id of a job: older ones only
      # @return [Array<Hash>] id, number and taken_in_at of the job, name of the customer; card_id, channel, attempt and leaves_on of the
      #   card; the newest job first
      def list(card: nil, before: nil)
        jobs = DB[:jobs].cross_join(newest.lateral.as(:card)).join(:customers, id: Sequel[:jobs][:customer_id])
        jobs = jobs.where(card_id: card.id, Sequel[:jobs][:customer_id] => card.customer_id) if card
        jobs = jobs.where(Sequel[:jobs][:id] < before) if before
        jobs.order(Sequel.desc(Sequel[:jobs][:id])).limit(PAGE)
            .select(*%i[id number taken_in_at].map { |name| Sequel[:jobs][name] }, Sequel[:customers][:name], :card_id, :channel, :attempt, :leaves_on).all
      end

      def newest
        Models::Card.reached.where(customer_id: Sequel[:jobs][:customer_id]).where(CardReturns.within(Sequel[:cards][:leaves_on]))
                    .order(Sequel.desc(:leaves_on), Sequel.desc(:id)).limit(1).select(Sequel[:id].as(:card_id), :channel, :attempt, :leaves_on)
      end
    end
  end
end
