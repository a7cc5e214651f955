# frozen_string_literal: true

module UprightBench
  module Queries
    # Everything of a part that its page shows.
    class PartOverview
      MOST_MOVES = 30
      PriceChange = Struct.new(:before, :after, :at, :by) # cents

      attr_reader :part

      # @param part [Models::Part]
      def initialize(part)
        @part = part
      end

      # @return [PriceChange, nil] the last one, nil where it never changed
      def price_change
        return @price_change if defined?(@price_change)

        event = Models::Event.where(subject: "parts", subject_id: @part.id)
          .where(Sequel.lit("data -> 'price_cents' ->> 0 IS NOT NULL")).reverse(:id).first
        @price_change = event && PriceChange.new(*event.data.to_hash.fetch("price_cents"), event.at, event.actor)
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
