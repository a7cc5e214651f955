# frozen_string_literal: true

module UprightBench
  module Models
    # One part of an order, and what came of it.
    class OrderLine < Sequel::Model(:order_lines)
      many_to_one :part
      one_to_many :stock_moves

      # @return [Integer] pieces that came
      def received
        stock_moves.sum(&:pieces)
      end

      # @return [Integer] pieces still to come
      def missing
        [pieces - received, 0].max
      end
    end
  end
end
