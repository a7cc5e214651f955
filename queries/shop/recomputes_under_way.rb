# frozen_string_literal: true

module UprightBench
  module Queries
    # How far the worker is with dates that are computed again.
    module RecomputesUnderWay
      MOST = 5

      module_function

      # @param sheet_id [Integer, nil] of this model only, and of all models
      # @return [Array<Models::Recompute>]
      def call(sheet_id = nil)
        asked = Models::Recompute.under_way.order(:id).limit(MOST)
        asked = asked.where(Sequel.|({ sheet_id: sheet_id }, { sheet_id: nil })) if sheet_id
        asked.all
      end
    end
  end
end
