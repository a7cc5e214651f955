# frozen_string_literal: true

module UprightBench
  module Papers
    # A reminder card, one on a page of its own size.
    class PostCard < Paper
      include CardFace

      # How cards are printed: `format` as SIZES_MM, `layout` as CardFace.
      Style = Struct.new(:format, :layout, keyword_init: true) do
        # @param stored [Hash{String=>String}] the shop's choices; what it has not chosen is an A6 card with its
        #   address printed
        def self.of(stored)
          new(format: stored.fetch("card_size", "a6").to_sym, layout: stored.fetch("card_layout", "printed").to_sym)
        end
      end

      # Landscape: A6 of ISO 216, and four by six inches.
      SIZES_MM = { a6: [148, 105], inch_4x6: [152.4, 101.6] }.freeze
      MARGIN_MM = CardFace::MARGIN_MM

      # @param letter [Core::Cards::Letter]
      # @param address [String] lines of the recipient
      # @param sender [String]
      # @param style [Style]
      def initialize(letter:, address:, sender:, style: Style.of({}))
        @letter = letter
        @address = address
        @sender = sender
        @style = style
        super()
      end

      private

      def size_mm
        SIZES_MM.fetch(@style.format)
      end

      def title
        "Card for #{@letter.customer}"
      end

      def draw
        face(@letter, address: @address, sender: @sender, layout: @style.layout)
      end
    end
  end
end
