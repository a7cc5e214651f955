# frozen_string_literal: true

module UprightBench
  module Queries
    # The count of the shelf that is under way, and those before it.
    class StockCount
      MOST_BEFORE = 5

      # @return [Models::Count, nil]
      def under_way
        return @under_way if defined?(@under_way)

        @under_way = Models::Count.under_way
      end

      # @return [Array<Models::CountLine>] of the count under way, with their parts, what was counted last first
      def lines
        under_way ? under_way.lines_dataset.eager(:part).order(Sequel.desc(:counted_at), :part_id).all : []
      end

      # @return [Array<Models::Count>] that were applied, the newest first, with their lines
      def before
        Models::Count.where(written: true).order(Sequel.desc(:id)).limit(MOST_BEFORE).eager(:beginner, :lines).all
      end
    end
  end
end
