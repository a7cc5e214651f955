# frozen_string_literal: true

module UprightBench
  module Services
    # What was counted on the shelf becomes the level, by a correcting move with its reason.
    class CountStock
      # @param pieces [Integer] as counted
      def self.call(part, pieces:, reason:, by:, at:)
        Permissions.check!(:stock, by)
        DB.transaction do
          level = Models::StockLevel.where(part_id: part.id).for_update.first
          difference = pieces - (level&.pieces || 0)
          unless difference.zero?
            MoveStock.call(part, pieces: difference, kind: "counted", reason: reason, by: by, at: at)
          end
        end
      end
    end
  end
end
