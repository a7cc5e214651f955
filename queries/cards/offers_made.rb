# frozen_string_literal: true

module UprightBench
  module Queries
    # What the cards offered and offer, the newest first.
    module OffersMade
      MOST = 20

      module_function

      # @return [Array<Models::Offer>]
      def call
        Models::Offer.order(Sequel.desc(:id)).limit(MOST).all
      end
    end
  end
end
