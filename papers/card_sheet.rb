# frozen_string_literal: true

module UprightBench
  module Papers
    # Many reminder cards, as many on a sheet as it holds, with marks to cut by.
    class CardSheet < Paper
      include CardFace

      MARGIN_MM = 0
      MARK_MM = 4
      GAP_MM = 1 # between a card's edge and its mark

      # @param cards [Enumerable<Hash>] letter, address, as in PostCard
      # @param sheet [String] a key of Core::Units::SheetSize::ALL
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
        whole = Core::Units::SheetSize.of(sheet).whole
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
          across, down = self.class.grid(card_mm, size_mm).each_with_index.map { |count, side| edges(count, side) }
          down.reverse.product(across).map(&:reverse)
        end
      end

      # @return [Array<Numeric>] where each of so many cards begins, with as much room before them as behind
      def edges(count, side)
        first = (size_mm[side] - (count * card_mm[side])) / 2.0
        Array.new(count) { |index| first + (index * card_mm[side]) }
      end

      def steps(count)
        (0...count).to_a
      end

      def draw_card(card, (left, bottom))
        margin = CardFace::MARGIN_MM
        width, height = card_mm.map { |side| (side - (2 * margin)) * MM }
        pdf.bounding_box([(left + margin) * MM, (bottom + card_mm[1] - margin) * MM], width: width, height: height) do
          face(card.fetch(:letter), address: card.fetch(:address), sender: @sender, layout: @style.layout)
        end
        cut_marks(left, bottom)
      end

      def cut_marks(left, bottom)
        pdf.stroke_color "000000"
        pdf.line_width 0.3
        sides = [[left, -1], [left + card_mm[0], 1]].product([[bottom, -1], [bottom + card_mm[1], 1]])
        sides.each do |(x, right), (y, up)|
          mark(*outward([x, y], [right, 0]))
          mark(*outward([x, y], [0, up]))
        end
      end

      # @return [Array(Array, Array)] from a corner a gap away, and on
      def outward(corner, direction)
        [GAP_MM, GAP_MM + MARK_MM].map do |away|
          corner.zip(direction).map { |side, sign| side + (sign * away) }
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
