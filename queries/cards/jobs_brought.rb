# frozen_string_literal: true

module UprightBench
  module Queries
    # Which card brought which job: each job taken in within Services::CardReturns::CAME_WITHIN_DAYS after a card that
    # named its machine, beside the newest such card that had left before. The newest first.
    module JobsBrought
      PAGE = 30
      LOOKED_AT = 1000 # jobs for one page: cards may have brought few of them, and a large shop has half a million
      Page = Struct.new(:rows, :older) # the id of a job than which there may be older ones; nil at the end
      Row = Struct.new(:id, :number, :taken_in_at, :customer, :card_id, :channel, :attempt, :leaves_on,
        keyword_init: true)

      module_function

      # @param before [Integer, nil] a job's id: only older ones
      # @param most [Integer] jobs that are looked at
      # @return [Page]
      def page(before: nil, most: LOOKED_AT)
        jobs = Models::Job.reverse(:id).limit(most)
        jobs = jobs.where { id < before } if before
        found = rows(jobs.from_self(alias: :jobs))
        Page.new(found, found.size == PAGE ? found.last.id : jobs.offset(most - 1).get(:id))
      end

      # @param card [Models::Card]
      # @return [Array<Row>] at most PAGE
      def of_card(card)
        rows(Models::Job.where(customer_id: card.customer_id)) { |jobs| jobs.where(card_id: card.id) }
      end

      def rows(jobs) # rubocop:disable Metrics/AbcSize -- one query
        jobs = jobs.cross_join(newest_card.lateral.as(:card)).join(:customers, id: Sequel[:jobs][:customer_id])
        jobs = yield jobs if block_given?
        columns = %i[id number taken_in_at].map { |name| Sequel[:jobs][name] }
        jobs.naked.reverse(Sequel[:jobs][:id]).limit(PAGE)
          .select(*columns, Sequel[:customers][:name].as(:customer), :card_id, :channel, :attempt, :leaves_on)
          .map { |row| Row.new(**row) }
      end

      def newest_card
        card = Sequel[:cards]
        Models::Card.reached.beside_dues.where(Services::CardResults.brought)
          .order(Sequel.desc(card[:leaves_on]), Sequel.desc(card[:id])).limit(1)
          .select(card[:id].as(:card_id), *%i[channel attempt leaves_on].map { |name| card[name] })
      end
      private_class_method :newest_card, :rows
    end
  end
end
