# frozen_string_literal: true

module UprightBench
  module Papers
    # Many reminder cards, as many on a sheet as it holds, with marks to cut by.
    class CardSheet < Paper
      include CardFace

      # Portrait: A4 of ISO 216, and letter of 8.5 by 11 inches.
      SHEETS_MM = { "a4" => [210, 297], "letter" => [215.9, 279.4] }.freeze
      MARGIN_MM = 0
      MARK_MM = 4
      GAP_MM = 1 # between a card's edge and its mark

      # @param cards [Enumerable<Hash>] letter, address, as in PostCard
      # @param sheet [String] one of SHEETS_MM
      def initialize(cards:, sender:, style:, sheet:)
        @cards = cards
        @sender = sender
        @style = style
        @sheet = sheet
        super()
      end

      # @return [Integer] cards on a sheet
      def self.on_a_sheet(size, sheet)
        card = PostCard::SIZES_MM.fetch(size)
        grid(card, laid(card, sheet)).inject(:*)
      end

      # The sheet, turned where it holds more so.
      # @return [Array(Float, Float)] millimetres
      def self.laid(card, sheet)
        whole = SHEETS_MM.fetch(sheet)
        [whole, whole.reverse].max_by { |sides| grid(card, sides).inject(:*) }
      end

      def self.grid(card, sheet)
        sheet.zip(card).map { |whole, part| [(whole / part).floor, 1].max }
      end

      private

      def size_mm
        self.class.laid(card_mm, @sheet)
      end

      def title
        "Cards"
      end

      def draw
        @cards.each_slice(places.size).with_index do |cards, page|
          pdf.start_new_page if page.positive?
          cards.zip(places).each { |card, place| draw_card(card, place) }
        end
      end

      def card_mm
        PostCard::SIZES_MM.fetch(@style.format)
      end

      # @return [Array<Array(Float, Float)>] lower left corner of each card in millimetres, the top row first
      def places
        @places ||= begin
          across, down = self.class.grid(card_mm, size_mm)
          left, bottom = size_mm.zip([across, down], card_mm)
            .map { |whole, count, part| (whole - (count * part)) / 2.0 }
          (0...down).to_a.reverse.product((0...across).to_a)
            .map { |row, column| [left + (column * card_mm[0]), bottom + (row * card_mm[1])] }
        end
      end

      def draw_card(card, (left, bottom))
        inner = [left + CardFace::MARGIN_MM, bottom + card_mm[1] - CardFace::MARGIN_MM].map { |mm| mm * MM }
        pdf.bounding_box(inner, width: (card_mm[0] - (2 * CardFace::MARGIN_MM)) * MM,
          height: (card_mm[1] - (2 * CardFace::MARGIN_MM)) * MM) do
          face(card.fetch(:letter), address: card.fetch(:address), sender: @sender, layout: @style.layout)
        end
        cut_marks(left, bottom)
      end

      def cut_marks(left, bottom)
        pdf.stroke_color "000000"
        pdf.line_width 0.3
        [left, left + card_mm[0]].product([bottom, bottom + card_mm[1]]).each do |x, y|
          outward_x = x == left ? -1 : 1
          outward_y = y == bottom ? -1 : 1
          mark([x + (outward_x * GAP_MM), y], [x + (outward_x * (GAP_MM + MARK_MM)), y])
          mark([x, y + (outward_y * GAP_MM)], [x, y + (outward_y * (GAP_MM + MARK_MM))])
        end
      end

      # Only on what is left of the sheet: a mark never runs into the next card.
      def mark(from, to)
        return if places.any? { |left, bottom| inside?(to, left, bottom) }

        pdf.stroke_line(from.map { |mm| mm * MM }, to.map { |mm| mm * MM })
      end

      def inside?((x, y), left, bottom)
        x > left && x < left + card_mm[0] && y > bottom && y < bottom + card_mm[1]
      end
    end
  end
end
