# frozen_string_literal: true

require "prawn"
require "rqrcode"

module UprightBench
  module Papers
    # What all papers share: true size, the shipped fonts with a fallback for rare signs, and codes that scan.
    class Paper
      FONTS = File.expand_path("../public/vendor/print", __dir__)
      MM = 72 / 25.4 # points in a millimetre

      # What was made.
      Rendered = Struct.new(:bytes, :pages, keyword_init: true)

      # @param look [Hash] as `make` takes it
      # @return [String] the PDF
      def render(**look)
        make(**look).bytes
      end

      # @param sheets [String] what the shop prints on, a key of Core::Units::SheetSize::ALL
      # @param logo [String, nil] path of a JPEG, for papers with a head
      # @param more [Hash] what matters to labels alone
      # @yieldparam page [Integer] that was begun, for whoever shows how far it is
      # @return [Rendered] the PDF's bytes, and how many pages it has
      def make(sheets: Core::Units::SheetSize::USUAL, logo: nil, **_more, &on_page)
        @sheets = sheets
        @logo = logo
        @pdf = Prawn::Document.new(page_size: size_mm.map { |side| side * MM }, margin: margin_mm * MM,
          info: info)
        use_fonts
        pdf.on_page_create { on_page.call(pdf.page_number) } if on_page
        draw
        Rendered.new(bytes: pdf.render, pages: pdf.page_count)
      end

      private

      attr_reader :pdf

      # A paper has a SHEET of the shop's (:whole or :half), or a SIZE_MM of its own.
      def size_mm
        return self.class::SIZE_MM unless self.class.const_defined?(:SHEET)

        Core::Units::SheetSize.of(@sheets).mm(self.class::SHEET)
      end

      def margin_mm
        self.class::MARGIN_MM
      end

      def info
        { Title: title, Creator: "Upright Bench" }
      end

      def use_fonts
        pdf.font_families.update(
          "Hyperlegible" => { normal: "#{FONTS}/AtkinsonHyperlegibleNext-Regular.ttf",
                              bold: "#{FONTS}/AtkinsonHyperlegibleNext-Bold.ttf" },
          "Rare" => { normal: "#{FONTS}/DejaVuSans.ttf", bold: "#{FONTS}/DejaVuSans-Bold.ttf" }
        )
        pdf.font "Hyperlegible"
        pdf.fallback_fonts ["Rare"]
      end

      # A line that shrinks rather than runs over its box.
      def line(text, at:, width:, size:, style: :normal, height: size * 1.25, align: :left)
        pdf.text_box text.to_s, at: at, width: width, height: height, size: size, style: style, align: align,
          overflow: :shrink_to_fit, min_font_size: 5, single_line: height < size * 2
      end

      # @param side [Numeric] points, quiet zone not included
      def qr(content, at:, side:)
        modules = RQRCode::QRCode.new(content, level: :m).modules
        dot = side / modules.size
        modules.each_with_index do |row, y|
          row.each_with_index do |dark, x|
            pdf.fill_rectangle([at[0] + (x * dot), at[1] - (y * dot)], dot, dot) if dark
          end
        end
      end
    end
  end
end
