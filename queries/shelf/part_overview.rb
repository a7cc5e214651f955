# frozen_string_literal: true

module UprightBench
  module Queries
    # Everything of a part that its page shows.
    class PartOverview
      MOST_MOVES = 30

      attr_reader :part

      # @param part [Models::Part]
      def initialize(part)
        @part = part
      end

      # @return [Array] as Services::FitsOf tells them
      def fits
        @fits ||= Services::FitsOf.call(@part)
      end

      # @return [Array<Integer>] numbers of the jobs that a piece is reserved for
      def reserved
        @reserved ||= Services::ReservedParts.claims(@part)
      end

      # @return [Models::PartForecast, nil]
      def forecast
        @part.forecast
      end

      # @return [Array<Models::StockMove>] the newest first
      def moves
        @moves ||= @part.stock_moves_dataset.eager(:mover, :job).limit(MOST_MOVES).all
      end
    end
  end
end
