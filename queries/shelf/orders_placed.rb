# frozen_string_literal: true

module UprightBench
  module Queries
    # Orders to suppliers: those that are waited for, then those that are closed, the newest first.
    module OrdersPlaced
      PAGE = 60

      module_function

      # @param before [Integer, nil] an order's id: only closed ones that are older
      # @return [Array<Models::SupplierOrder>] with supplier, who ordered, and lines
      def call(before: nil)
        orders = Models::SupplierOrder.eager(:supplier, :orderer, lines: :stock_moves).order(Sequel.desc(:id))
        closed = orders.exclude(closed_at: nil).limit(PAGE)
        before ? closed.where(Sequel[:id] < before).all : orders.waiting.all + closed.all
      end

      # @param number [Integer]
      # @return [Models::SupplierOrder] with its lines, their parts, and who received what
      # @raise [Services::NotFound]
      def one(number)
        order = Models::SupplierOrder.where(number: number)
          .eager(:supplier, :orderer, lines: [:part, { stock_moves: :mover }]).all.first
        order || raise(Services::NotFound, "There is no such order.")
      end
    end
  end
end
