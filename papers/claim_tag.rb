# frozen_string_literal: true

module UprightBench
  module Papers
    # The tags on machines, 100 × 62 mm: number large enough to read from two metres, and a code to scan.
    class ClaimTag < Label
      STOCK = "100x62"
      SIZE_MM = [100, 62].freeze
      MARGIN_MM = 4

      # @param tags [Array<Hash>] number (the job's), code (what the scan gives), lines (machine, customer, complaint,
      #   promise; long ones are shrunk)
      def initialize(shop:, tags:)
        @shop = shop
        @tags = tags
        super()
      end

      private

      def title
        "Tag #{@tags.map { |tag| tag.fetch(:number) }.uniq.join(', ')}"
      end

      def draw
        draw_each(@tags) { |tag| draw_tag(**tag) }
      end

      def stock_key(tags:, **)
        tags
      end

      def draw_tag(number:, code:, lines:)
        top = pdf.bounds.top
        line(number.to_s, at: [0, top], width: 60 * MM, size: 46, style: :bold, height: 50)
        qr(code, at: [66 * MM, top - 2], side: 26 * MM)
        lines.each_with_index do |text, index|
          line(text, at: [0, top - 56 - (index * 20)], width: (index < 2 ? 64 : 92) * MM, size: 12,
            style: index.zero? ? :bold : :normal, height: 18)
        end
        line(@shop, at: [0, 10], width: 92 * MM, size: 8, height: 10)
      end
    end
  end
end
