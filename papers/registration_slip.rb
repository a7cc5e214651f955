# frozen_string_literal: true

module UprightBench
  module Papers
    # A slip of A6 that goes with a machine: the page on which its owner registers it, to scan or to type.
    class RegistrationSlip < Paper
      SIZE_MM = [105, 148].freeze
      MARGIN_MM = 8
      CODE_MM = 50
      CODE_BELOW = 112 # the top, points
      WHY = "Tell us what you bought, and we will remind you when its filters and bags are due, if you like."

      # @param shop [Array<String>] the shop's name, then its address and phone
      # @param link [String]
      # @param until_on [String] the last day on which it is good
      def initialize(shop:, link:, until_on:)
        @shop = shop
        @link = link
        @until_on = until_on
        super()
      end

      private

      def title
        "Register your machine"
      end

      def draw
        top = pdf.bounds.top
        width = pdf.bounds.width
        texts.each { |text, below, looks| line(text, at: [0, top - below], width: width, **looks) }
        side = CODE_MM * MM
        qr(@link, at: [(width - side) / 2, top - CODE_BELOW], side: side)
      end

      # @return [Array<Array(String, Numeric, Hash)>] text, points below the top, looks
      def texts
        under = CODE_BELOW + ((CODE_MM + 4) * MM)
        [[@shop.first, 0, { size: 14, style: :bold }], [@shop.drop(1).join(", "), 20, { size: 8 }],
         [title, 44, { size: 18, style: :bold, height: 26 }], [WHY, 74, { size: 10, height: 30 }],
         [@link, under, { size: 9, height: 26, align: :center }], ["Good until #{@until_on}.", under + 30, { size: 9 }]]
      end
    end
  end
end
