# frozen_string_literal: true

module UprightBench
  module Papers
    # An order to a supplier, a whole sheet: who orders, what, how many, and the sum as far as the costs are known.
    class SupplierOrder < FlowPaper
      SHEET = :whole
      MARGIN_MM = 16
      ROW = 18
      # Left, width, side
      COLUMNS = [[0, 90, :left], [95, 225, :left], [325, 45, :right], [375, 60, :right], [434, 70, :right]].freeze

      # @param lines [Array<Hash>] number, name, pieces, packs, cost_cents
      # @param money [#call] cents to text
      def initialize(shop:, number:, supplier:, date:, by:, lines:, money:)
        @shop = shop
        @number = number
        @supplier = supplier
        @date = date
        @by = by
        @lines = lines
        @money = money
        super()
      end

      private

      def title
        "Order #{@number}"
      end

      def flow
        words(@shop, size: 9)
        words("Order #{@number} to #{@supplier}", size: 20, style: :bold, height: 30)
        words("#{@date}, #{@by}", size: 11, height: 28)
        ruled(%w[Number Part Pieces Cost Sum], style: :bold)
        @lines.each { |line| row_of(line) }
        known = @lines.filter_map { |line| together(line) }
        ruled(["", "Together, without tax", "", "", @money.call(known.sum)], style: :bold) if known.any?
      end

      def row_of(line)
        ruled([line[:number], line[:name], line[:pieces].to_s, cost(line[:cost_cents]), cost(together(line))])
      end

      def ruled(cells, style: :normal)
        room(ROW)
        rule
        row(cells, COLUMNS, style: style)
      end

      def together(line)
        line[:cost_cents]&.*(line[:pieces])
      end

      def cost(cents)
        cents ? @money.call(cents) : ""
      end
    end
  end
end
