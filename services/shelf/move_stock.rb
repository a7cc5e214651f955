# frozen_string_literal: true

module UprightBench
  module Services
    # Stock is moves. The database keeps the level, and refuses to go below zero.
    class MoveStock
      # @param pieces [Integer] negative when taken
      # @param kind [String] received, used, returned, counted or sold
      # @param bill [Models::Bill, nil] it was sold on
      # @param request_key [String, nil] the same key twice moves once
      # @param order_line_id [Integer, nil] what it was ordered by
      # @raise [Refused] when there are not enough
      def self.call(part, pieces:, kind:, by:, at:, job: nil, bill: nil, reason: nil, request_key: nil,
        order_line_id: nil)
        Permissions.check!(:stock, by) unless job || bill # what a job or a sale takes is their own
        Constraint.told("stock_never_below_zero" => -> { refuse_empty(part) }, "stock_moves_once" => -> {}) do
          DB.transaction(savepoint: true) do
            Models::StockMove.create(part_id: part.id, pieces: pieces, kind: kind, job_id: job&.id, bill_id: bill&.id,
              reason: reason, moved_by: by.id, moved_at: at, request_key: request_key, order_line_id: order_line_id)
            note(part, pieces, kind, reason, by, at) unless job || bill || order_line_id # those say it themselves
          end
        end
      end

      def self.note(part, pieces, kind, reason, by, at)
        History.note("moved stock", part, by: by, at: at, data: { pieces: pieces, kind: kind, reason: reason }.compact)
      end

      def self.refuse_empty(part)
        raise Refused, "There is no #{part.name} (#{part.number}) left on the shelf: receive one, or choose another " \
                       "part."
      end
      private_class_method :note, :refuse_empty
    end
  end
end
