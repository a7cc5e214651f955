# frozen_string_literal: true

require "digest"

module UprightBench
  module Services
    # Puts on the shelf what came of an order, and learns from it how long the supplier takes. When all is there, the
    # order is closed; what will never come is closed by hand.
    class ReceiveOrder
      # @param number [Integer] the order's
      # @param pieces [Hash{Integer=>Integer}] by the line's id, what came now
      # @param request_key [String] the same twice receives once
      # @return [Models::SupplierOrder]
      # @raise [Invalid, Refused]
      def self.call(number, pieces:, request_key:, by:, at:)
        Permissions.check!(:stock, by)
        DB.transaction do
          new(find(number), pieces.select { |_, count| count.positive? }, request_key, by, at).call
        end
      end

      # The rest will not come.
      def self.close(number, by:, at:)
        Permissions.check!(:stock, by)
        DB.transaction do
          order = find(number)
          next order if order.closed_at

          order.update(closed_by: by.id, closed_at: at)
          History.note("closed", order, by: by, at: at)
          order
        end
      end

      # @raise [NotFound]
      def self.find(number)
        order = Models::SupplierOrder.where(number: number).for_update.first if number.between?(1, Lookup::BIGGEST_ID)
        order || raise(NotFound, "There is no order #{number}.")
      end

      def initialize(order, pieces, request_key, by, at)
        @order = order
        @pieces = pieces
        @request_key = request_key
        @by = by
        @at = at
      end

      def call
        raise Invalid, { pieces: ["Say how many came of at least one part."] } if @pieces.empty?
        return @order if received_already?
        raise Refused, "Order #{@order.number} is closed: receive it on the part's own page." if @order.closed_at

        receive
        note
        self.class.close(@order.number, by: @by, at: @at) if complete?
        @order.refresh
      end

      private

      def received_already?
        Models::StockMove.where(request_key: @pieces.keys.map { |id| key(id) }).any?
      end

      def note
        History.note("received", @order, by: @by, at: @at, data: { pieces: @pieces.values.sum })
        LearnLeadTimes.call(@order.supplier, @pieces.keys.map { |id| lines.fetch(id).part })
      end

      def complete?
        @order.lines_dataset.eager(:stock_moves).all.all? { |line| line.missing.zero? }
      end

      def lines
        @lines ||= @order.lines_dataset.eager(:part).to_hash(:id)
      end

      # In the order of the parts' ids, as everybody who moves several parts does: so nobody waits for another in a
      # ring.
      def receive
        @pieces.sort_by { |id, _| lines[id]&.part_id || raise(NotFound, "Order #{@order.number} has no such line.") }
          .each do |id, count|
          MoveStock.call(lines.fetch(id).part, pieces: count, kind: "received", order_line_id: id, request_key: key(id),
            by: @by, at: @at)
        end
      end

      # Each line has a key of its own, made from the request's.
      def key(line_id)
        Digest::MD5.hexdigest("#{@request_key}/#{line_id}").sub(/\A(.{8})(.{4})(.{4})(.{4})(.{12})\z/, '\1-\2-\3-\4-\5')
      end
    end
  end
end
