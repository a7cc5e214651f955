# frozen_string_literal: true

module UprightBench
  module Queries
    # Which card brought which job: each job taken in within Services::CardReturns::CAME_WITHIN_DAYS after a card that
    # named its machine, beside the newest such card that had left before. The newest first.
    module JobsBrought
      PAGE = 30
      Row = Struct.new(:id, :number, :taken_in_at, :customer, :card_id, :channel, :attempt, :leaves_on,
        keyword_init: true)

      module_function

      # @param card [Models::Card, nil] only what this one brought
      # @param before [Integer, nil] a job's id: only older ones
      # @return [Array<Row>] at most PAGE
      def call(card: nil, before: nil) # rubocop:disable Metrics/AbcSize -- one query
        jobs = Models::Job.cross_join(newest_card.lateral.as(:card)).join(:customers, id: Sequel[:jobs][:customer_id])
        jobs = jobs.where(card_id: card.id, Sequel[:jobs][:customer_id] => card.customer_id) if card
        jobs = jobs.where(Sequel[:jobs][:id] < before) if before
        rows(jobs.order(Sequel.desc(Sequel[:jobs][:id])).limit(PAGE))
      end

      def rows(jobs)
        columns = %i[id number taken_in_at].map { |name| Sequel[:jobs][name] }
        jobs.naked.select(*columns, Sequel[:customers][:name].as(:customer), :card_id, :channel, :attempt, :leaves_on)
          .map { |row| Row.new(**row) }
      end

      def newest_card
        Models::Card.reached.where(customer_id: Sequel[:jobs][:customer_id]).where(Services::CardReturns.brought)
          .order(Sequel.desc(:leaves_on), Sequel.desc(:id)).limit(1)
          .select(Sequel[:id].as(:card_id), :channel, :attempt, :leaves_on)
      end
      private_class_method :newest_card, :rows
    end
  end
end
