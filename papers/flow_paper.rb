# frozen_string_literal: true

module UprightBench
  module Papers
    # A paper that is filled from the top, row by row, and goes on to another page when one is full. Subclasses have a
    # `flow`, and a NOTE (points wide) where they put something at the right edge.
    class FlowPaper < Paper
      ROW = 16 # points
      LOGO_WIDTH = 120
      LOGO_HEIGHT = 34

      private

      def draw
        @y = pdf.bounds.top
        flow
      end

      # A row over the whole width.
      def words(text, size:, style: :normal, height: self.class::ROW)
        row([text], [[0, pdf.bounds.width]], size: size, style: style, height: height)
      end

      # Who it is from.
      # @param shop [Array<String>] the shop's name, then its address and phone
      def letterhead(shop)
        draw_logo if @logo
        words(shop.first, size: 14, style: :bold, height: 20)
        words(shop.drop(1).join(", "), size: 9)
        rule
        space
      end

      # At the right edge, as high as the two lines beside it.
      def draw_logo
        pdf.bounding_box([pdf.bounds.width - LOGO_WIDTH, @y], width: LOGO_WIDTH, height: LOGO_HEIGHT) do
          pdf.image @logo, fit: [LOGO_WIDTH, LOGO_HEIGHT], position: :right
        end
      end

      # A text, and a date or a sum at the right edge.
      def beside(text, note, **looks)
        right = pdf.bounds.width - self.class::NOTE
        row([text, note], [[0, right - 4], [right, self.class::NOTE, :right]], **looks)
      end

      # @param cells [Array<String>]
      # @param columns [Array<Array(Numeric, Numeric, Symbol)>] left and width in points, and the side, left when it is
      #   not said
      def row(cells, columns, size: 10, style: :normal, height: self.class::ROW)
        room(height)
        cells.zip(columns) do |cell, (left, width, align)|
          line(cell, at: [left, @y], width: width, size: size, style: style, height: height - 2, align: align || :left)
        end
        space(height)
      end

      def rule
        pdf.stroke_horizontal_line(0, pdf.bounds.width, at: @y + 1)
      end

      # Another page, unless there is so much left on this one.
      def room(height)
        return if @y >= height

        pdf.start_new_page
        @y = pdf.bounds.top
      end

      def space(points = 10)
        @y -= points
      end
    end
  end
end
