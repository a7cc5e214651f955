# frozen_string_literal: true

module UprightBench
  module Services
    # Orders parts from one supplier. Sent twice is ordered once.
    class PlaceOrder
      MOST_PIECES = 9999

      # @param supplier [Models::Supplier]
      # @param pieces [Hash{Integer=>Integer}] by part's id; those with 0 are left out
      # @param request_key [String]
      # @return [Models::SupplierOrder]
      # @raise [Invalid]
      def self.call(supplier, pieces:, request_key:, by:, at:)
        Permissions.check!(:orders, by)
        wanted = pieces.select { |_, count| count.positive? }
        raise Invalid, { pieces: ["Say how many of at least one part."] } if wanted.empty?
        raise Invalid, { pieces: ["No more than #{MOST_PIECES} of a part at once."] } if wanted.values.max > MOST_PIECES

        Constraint.told("supplier_orders_once" => -> { Models::SupplierOrder.first!(request_key: request_key) }) do
          DB.transaction(savepoint: true) { new(supplier, wanted, request_key, by, at).call }
        end
      end

      def initialize(supplier, wanted, request_key, by, at)
        @supplier = supplier
        @wanted = wanted
        @request_key = request_key
        @by = by
        @at = at
      end

      def call
        order = Models::SupplierOrder.create(supplier_id: @supplier.id, ordered_by: @by.id, ordered_at: @at,
          request_key: @request_key)
        parts.each do |part|
          Models::OrderLine.create(order_id: order.id, part_id: part.id,
            pieces: @wanted.fetch(part.id), cost_cents: part.cost_cents)
        end
        History.note("ordered", order, by: @by, at: @at, data: { supplier: @supplier.name, lines: parts.size })
        order.refresh
      end

      private

      def parts
        @parts ||= Models::Part.where(id: @wanted.keys).order(:number).all.tap do |found|
          raise NotFound, "There is no such part." if found.size < @wanted.size

          stranger = found.find { |part| part.supplier_id != @supplier.id }
          if stranger
            raise Invalid, { pieces: ["#{stranger.name} (#{stranger.number}) does not come from #{@supplier.name}."] }
          end
        end
      end
    end
  end
end
