# frozen_string_literal: true

module UprightBench
  module Papers
    # What stands on a reminder card, drawn into the box that it is given: on a card of its own, or beside others on a
    # sheet.
    module CardFace
      MARGIN_MM = 7
      MOST_TASKS = { printed: 8, window: 5 }.freeze
      # Where a window leaves an envelope of C6 open: 90 × 45 mm, 20 from the left and 15 from below (DIN 680, from
      # memory). The card is 14 mm narrower than the envelope and slides that far.
      WINDOW_MM = { left: 20, bottom: 14, width: 68, height: 30 }.freeze

      private

      # @param letter [Core::Cards::Letter]
      # @param address [String] lines
      # @param sender [String] in one line
      # @param layout [Symbol] :printed or :window
      def face(letter, address:, sender:, layout:)
        send(:"face_#{layout}", letter, address, sender)
      end

      def face_printed(letter, address, sender)
        middle = pdf.bounds.width * 0.55
        words_mm = middle - (6 * Paper::MM)
        words(letter, :printed, width: words_mm, height: pdf.bounds.height - 14)
        line("#{letter.shop}, #{letter.shop_phone}", at: [0, 11], width: words_mm, size: 9, style: :bold)
        down(middle)
        recipient(letter, address, sender, middle + (4 * Paper::MM))
      end

      def down(left)
        pdf.stroke_color "888888"
        pdf.stroke_vertical_line 0, pdf.bounds.top, at: left
      end

      def recipient(letter, address, sender, left)
        width = pdf.bounds.width - left
        line(sender, at: [left, pdf.bounds.top], width: width, size: 7, height: 20)
        pdf.text_box address, at: [left, pdf.bounds.top - (33 * Paper::MM)], width: width, height: 26 * Paper::MM,
          size: 12, leading: 3, overflow: :shrink_to_fit
        code(letter, left, width)
      end

      def face_window(letter, address, sender)
        mm = Paper::MM
        width, height = pdf.bounds.then { |bounds| [bounds.width, bounds.height] }
        above = (WINDOW_MM[:bottom] + WINDOW_MM[:height] - MARGIN_MM) * mm
        words(letter, :window, width: width, height: height - above - (2 * mm))
        behind_window(address, sender, above, mm)
        code(letter, width - (40 * mm), 40 * mm)
      end

      def behind_window(address, sender, above, mm)
        left = (WINDOW_MM[:left] - MARGIN_MM) * mm
        width = WINDOW_MM[:width] * mm
        line(sender, at: [left, above], width: width, size: 6, height: 8)
        pdf.text_box address, at: [left, above - (4 * mm)], width: width, height: (WINDOW_MM[:height] - 4) * mm,
          size: 11, leading: 2, overflow: :shrink_to_fit
      end

      def words(letter, layout, width:, height:)
        pdf.text_box letter.paper(MOST_TASKS.fetch(layout)), at: [0, pdf.bounds.top], width: width, height: height,
          size: 10, leading: 1.5,
          overflow: :shrink_to_fit, min_font_size: 6
      end

      def code(letter, left, width)
        qr(letter.link, at: [left, 28 * Paper::MM], side: 25 * Paper::MM)
        line(letter.link.sub(%r{\Ahttps?://}, ""), at: [left, 2.2 * Paper::MM], width: width, size: 6, height: 8)
      end
    end
  end
end
