# frozen_string_literal: true

module UprightBench
  module Queries
    # Cards of a few customers, on which words are tried: the newest of each.
    module SampleCards
      CUSTOMERS = 5

      module_function

      # @return [Array<Models::Card>] with their customers and lines
      def call
        newest = Sequel.function(:max, :id)
        ids = Models::Card.group(:customer_id).select(newest).order(Sequel.desc(newest)).limit(CUSTOMERS)
        Models::Card.where(id: ids).eager(:customer, :lines).all
      end
    end
  end
end
