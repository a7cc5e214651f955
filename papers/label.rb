# frozen_string_literal: true

module UprightBench
  module Papers
    # Labels of one kind, on whatever the shop prints them on. A kind draws each of its labels at its own size (SIZE_MM,
    # within MARGIN_MM); where the shop's are of another size it is made as large as fits.
    class Label < Paper
      STOCK = "62x29"
      MARGIN_MM = 2

      # @param labels [String] a key of Core::Labels::Stock::SMALL
      # @param tags [String] a key of Core::Labels::Stock::TAGS
      # @param first [Integer] the first free label of a sheet that was begun, from 1
      # @param more [Hash] of other papers' look, which does not matter here
      # @return [Rendered] `pages` counts labels
      def make(labels: Label::STOCK, tags: ClaimTag::STOCK, first: 1, **more, &on_page)
        @stock = Core::Labels::Stock.of(stock_key(labels: labels, tags: tags))
        @before = (first - 1).clamp(0, @stock.a_page - 1)
        super(**more.slice(:sheets, :logo), &on_page).tap { |rendered| rendered.pages = @drawn }
      end

      private

      def stock_key(labels:, **)
        labels
      end

      def size_mm
        @stock.page_mm
      end

      def margin_mm
        0
      end

      # @param things [Enumerable] what a label is drawn of, with the block, each
      def draw_each(things)
        @drawn = 0
        things.each do |thing|
          on_label { yield thing }
          @drawn += 1
        end
      end

      def on_label(&)
        place = @stock.place(@before + @drawn)
        pdf.start_new_page while pdf.page_number <= place.page
        pdf.transformation_matrix(scale, 0, 0, scale, place.left_mm * MM, bottom_mm(place) * MM) { in_margins(&) }
      end

      def in_margins(&)
        width, height = self.class::SIZE_MM
        margin = self.class::MARGIN_MM
        pdf.bounding_box([margin * MM, (height - margin) * MM], width: (width - (2 * margin)) * MM,
          height: (height - (2 * margin)) * MM, &)
      end

      # In the middle of its label from top to bottom.
      def bottom_mm(place)
        height = @stock.label_mm[1]
        @stock.page_mm[1] - place.top_mm - height + ((height - (self.class::SIZE_MM[1] * scale)) / 2)
      end

      def scale
        @scale ||= @stock.scale_of(self.class::SIZE_MM)
      end
    end
  end
end
