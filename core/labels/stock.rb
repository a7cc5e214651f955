# frozen_string_literal: true

module UprightBench
  module Core
    module Labels
      # What labels are printed on: a roll, of which each label is a page, or a sheet with labels in rows. All lengths
      # are in millimetres. Sizes of rolls and sheets are those that stationers sell (common practice, from memory).
      #
      #   Stock.of("a4_3x8").place(25)  # => Place page 1, left 0, top 0: the first of the second sheet
      class Stock
        include Value

        # Where a label stands: page from 0, left and top of the page to its own.
        Place = Struct.new(:page, :left_mm, :top_mm, keyword_init: true)

        # @!attribute label_mm [Array(Numeric, Numeric)] width and height of a label
        # @!attribute page_mm [Array(Numeric, Numeric)] of the page
        # @!attribute across [Integer] labels in a row
        # @!attribute down [Integer] rows
        # @!attribute edge_mm [Array(Numeric, Numeric)] from the page's left and top edge to the first label
        # @!attribute pitch_mm [Array(Numeric, Numeric)] from a label's edge to the next one's, across and down
        fields :words, :label_mm, :page_mm, across: 1, down: 1, edge_mm: [0, 0].freeze, pitch_mm: [0, 0].freeze

        def self.roll(words, *label_mm)
          new(words: words, label_mm: label_mm, page_mm: label_mm)
        end

        A4 = Units::SheetSize.of("a4").whole
        LETTER = Units::SheetSize.of("letter").whole
        private_constant :A4, :LETTER

        SMALL = {
          "62x29" => roll("Roll, 62 × 29 mm", 62, 29),
          "57x32" => roll("Roll, 57 × 32 mm (2¼ × 1¼ inches)", 57, 32),
          "51x25" => roll("Roll, 51 × 25 mm (2 × 1 inches)", 50.8, 25.4),
          "89x36" => roll("Roll, 89 × 36 mm", 89, 36),
          "a4_3x8" => new(words: "A4 sheet, 24 of 70 × 37 mm", label_mm: [70, 37], page_mm: A4, across: 3, down: 8,
            edge_mm: [0, 0.5], pitch_mm: [70, 37]),
          "a4_3x7" => new(words: "A4 sheet, 21 of 63.5 × 38.1 mm", label_mm: [63.5, 38.1], page_mm: A4, across: 3,
            down: 7, edge_mm: [7.2, 15.1], pitch_mm: [66.0, 38.1]),
          "letter_3x10" => new(words: "Letter sheet, 30 of 2⅝ × 1 inches", label_mm: [66.7, 25.4], page_mm: LETTER,
            across: 3, down: 10, edge_mm: [4.8, 12.7], pitch_mm: [69.8, 25.4])
        }.freeze

        TAGS = {
          "100x62" => roll("Roll, 100 × 62 mm", 100, 62),
          "102x76" => roll("Roll, 102 × 76 mm (4 × 3 inches)", 101.6, 76.2),
          "102x152" => roll("Roll, 102 × 152 mm (4 × 6 inches)", 101.6, 152.4),
          "a4_2x4" => new(words: "A4 sheet, 8 of 99.1 × 67.7 mm", label_mm: [99.1, 67.7], page_mm: A4, across: 2,
            down: 4, edge_mm: [4.7, 13.1], pitch_mm: [101.6, 67.7]),
          "letter_2x5" => new(words: "Letter sheet, 10 of 4 × 2 inches", label_mm: [101.6, 50.8], page_mm: LETTER,
            across: 2, down: 5, edge_mm: [4.0, 12.7], pitch_mm: [106.4, 50.8])
        }.freeze

        ALL = { **SMALL, **TAGS }.freeze

        # @param key [String]
        # @return [Stock]
        # @raise [KeyError]
        def self.of(key)
          ALL.fetch(key)
        end

        # @return [Integer] labels on a page
        def a_page
          across * down
        end

        def sheet?
          a_page > 1
        end

        # @param index [Integer] of a label, from 0, counted in rows over all pages
        # @return [Place]
        def place(index)
          page, rest = index.divmod(a_page)
          row, column = rest.divmod(across)
          Place.new(page: page, left_mm: edge_mm[0] + (column * pitch_mm[0]), top_mm: edge_mm[1] + (row * pitch_mm[1]))
        end

        # How a drawing of one size goes onto a label of another: as large as it can, without being pulled out of shape.
        # @param size_mm [Array(Numeric, Numeric)]
        # @return [Float]
        def scale_of(size_mm)
          label_mm.zip(size_mm).map { |label, drawn| label / drawn.to_f }.min
        end

        private

        def check
          return if [across, down].each_with_index.all? { |count, side| reach_mm(count, side) <= page_mm[side] + 0.1 }

          raise ArgumentError, "#{words}: the labels stand over the page"
        end

        # @param side [Integer] 0 across, 1 down
        # @return [Numeric] how far the last label reaches
        def reach_mm(count, side)
          edge_mm[side] + ((count - 1) * pitch_mm[side]) + label_mm[side]
        end
      end
    end
  end
end
