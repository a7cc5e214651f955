# frozen_string_literal: true

module UprightBench
  module Papers
    # An order to a supplier, A4: who orders, what, how many, and the sum as far as the costs are known.
    class SupplierOrder < Paper
      SIZE_MM = [210, 297].freeze
      MARGIN_MM = 16
      ROW = 18
      COLUMNS = [[0, 90, :left], [95, 225, :left], [325, 45, :right], [375, 60, :right], [440, 70, :right]].freeze # left, width, side

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

      def draw
        @y = pdf.bounds.top
        text(@shop, 0, pdf.bounds.width, size: 9)
        text("Order #{@number} to #{@supplier}", 0, pdf.bounds.width, size: 20, style: :bold, height: 30)
        text("#{@date}, #{@by}", 0, pdf.bounds.width, size: 11, height: 28)
        row(%w[Number Part Pieces Cost Sum], style: :bold)
        @lines.each { |one| row([one[:number], one[:name], one[:pieces].to_s, cost(one[:cost_cents]), cost(together(one))]) }
        known = @lines.filter_map { |one| together(one) }
        row(["", "Together, without tax", "", "", @money.call(known.sum)], style: :bold) if known.any?
      end

      def together(one)
        one[:cost_cents]&.*(one[:pieces])
      end

      def row(cells, style: :normal)
        next_page if @y < ROW
        pdf.stroke_horizontal_line(0, pdf.bounds.width, at: @y + 3)
        cells.zip(COLUMNS) { |cell, (left, width, align)| line(cell, at: [left, @y], width: width, size: 10, style: style, height: ROW - 4, align: align) }
        @y -= ROW
      end

      def text(words, left, width, size:, style: :normal, height: ROW)
        line(words, at: [left, @y], width: width, size: size, style: style, height: height)
        @y -= height
      end

      def cost(cents)
        cents ? @money.call(cents) : ""
      end

      def next_page
        pdf.start_new_page
        @y = pdf.bounds.top - 4
      end
    end
  end
end
