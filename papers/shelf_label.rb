# frozen_string_literal: true

require "barby"
require "barby/barcode/code_128"

module UprightBench
  module Papers
    # The label on the shelf under a part, 62 × 29 mm: what it is, what it costs, and its number as bars (Code 128,
    # ISO/IEC 15417) that a scanner reads.
    class ShelfLabel < Label
      SIZE_MM = [62, 29].freeze
      BAR_HEIGHT_MM = 10
      WIDEST_MODULE_MM = 0.4
      DOT_MM = 25.4 / 203 # of the usual label printer
      THINNEST_MODULE_MM = 0.19 # thinner bars run together at that (common practice: 7.5 thousandths of an inch)
      QUIET_MODULES = 10 # on either side, as the standard asks

      # @param labels [Array<Hash>] name, number, price
      def initialize(shop:, labels:)
        @shop = shop
        @labels = labels
        super()
      end

      # @param number [String] ASCII
      # @return [String] a 1 for each dark module and a 0 for each light one, with start, check and stop
      def self.modules(number)
        Barby::Code128.new(number).encoding
      end

      private

      def title
        "Shelf labels"
      end

      def draw
        draw_each(@labels) { |label| draw_label(**label) }
      end

      def draw_label(name:, number:, price:)
        top = pdf.bounds.top
        width = pdf.bounds.width
        line(name, at: [0, top], width: width, size: 11, style: :bold, height: 14)
        line("#{number}   #{price}", at: [0, top - 15], width: width, size: 10, height: 12)
        bars(number, top - 29)
        line(@shop, at: [0, 8], width: width, size: 6, height: 8)
      end

      def bars(number, top)
        modules = self.class.modules(number)
        wide = module_width(modules.size)
        wide ? draw_bars(modules, wide, top) : too_long(top)
      end

      def draw_bars(modules, wide, top)
        left = QUIET_MODULES * wide
        modules.chars.chunk_while { |bar, other| bar == other }.each do |run|
          pdf.fill_rectangle([left, top], run.size * wide, BAR_HEIGHT_MM * MM) if run.first == "1"
          left += run.size * wide
        end
      end

      def too_long(top)
        line("This number is too long for bars: type it.", at: [0, top], width: pdf.bounds.width, size: 8, height: 10)
      end

      # With the quiet zone on both sides it fits the label; whole dots of the printer where two or more fit.
      # @return [Float, nil] points of the drawing; nil where bars would run together on the label
      def module_width(modules)
        fits = [pdf.bounds.width * scale / (modules + (2 * QUIET_MODULES)) / MM, WIDEST_MODULE_MM].min
        return if fits < THINNEST_MODULE_MM

        dots = (fits / DOT_MM).floor
        (dots >= 2 ? dots * DOT_MM : fits) * MM / scale
      end
    end
  end
end
