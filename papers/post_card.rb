# frozen_string_literal: true

module UprightBench
  module Papers
    # A reminder card, A6 landscape: the letter on the left, the address and the code on the right.
    class PostCard < Paper
      SIZE_MM = [148, 105].freeze
      MARGIN_MM = 7
      LEFT_MM = 78
      RIGHT_MM = 84
      MOST_TASKS = 8

      # @param letter [Core::Cards::Letter]
      # @param address [String] lines of the recipient
      # @param sender [String]
      def initialize(letter:, address:, sender:)
        @letter = letter
        @address = address
        @sender = sender
        super()
      end

      private

      def title
        "Card for #{@letter.customer}"
      end

      def draw
        message
        pdf.stroke_color "888888"
        pdf.stroke_vertical_line 0, pdf.bounds.top, at: 80.5 * MM
        recipient
      end

      def message
        pdf.text_box words, at: [0, pdf.bounds.top], width: LEFT_MM * MM, height: pdf.bounds.height - 14, size: 10, leading: 1.5,
                            overflow: :shrink_to_fit, min_font_size: 6
        line("#{@letter.shop}, #{@letter.shop_phone}", at: [0, 11], width: LEFT_MM * MM, size: 9, style: :bold)
      end

      def words
        [@letter.greeting, @letter.opening, *tasks, @letter.closing.sub(/ here:\z/, " by the code on the right.")].join("\n\n")
      end

      # More than the paper holds stands on the page behind the code; the card says how many.
      def tasks
        machines = @letter.lines.first(MOST_TASKS).group_by(&:machine).map { |machine, rows| "#{machine}\n#{rows.map { |row| "– #{row.words}" }.join("\n")}" }
        more = @letter.lines.size - MOST_TASKS
        more.positive? ? [*machines, "and #{more} more, on the page behind the code"] : machines
      end

      def recipient
        width = (148 - (2 * MARGIN_MM) - RIGHT_MM) * MM
        left = RIGHT_MM * MM
        line(@sender, at: [left, pdf.bounds.top], width: width, size: 7, height: 20)
        pdf.text_box @address, at: [left, 58 * MM], width: width, height: 26 * MM, size: 12, leading: 3, overflow: :shrink_to_fit
        qr(@letter.link, at: [left, 28 * MM], side: 25 * MM)
        line(@letter.link.sub(%r{\Ahttps?://}, ""), at: [left, 2.2 * MM], width: width, size: 6, height: 8)
      end
    end
  end
end
