# frozen_string_literal: true

module UprightBench
  module Drawings
    # Screws from the side, as many as there are, to scale: one unit is a millimetre, and the picture asks to be shown
    # so large. A clip ring is drawn from above.
    class HeldSide
      GAP_MM = 1.5
      PICTURE = Core::Strip::Picture
      SIDE_MM = 8 # of what has no length

      # @param fastener [Core::Sheets::Fastener]
      # @param count [Integer] that are drawn
      def initialize(fastener, count: fastener.count)
        @fastener = fastener
        @count = count
      end

      # @return [String] empty where there is nothing to draw to scale
      def render
        return "" if @count.zero?

        Svg.image(width.round(1), height.round(1), Array.new(@count) { |index| one(index) }.join,
          label: "#{@count} × #{@fastener.words}", class: "held-side", width: "#{width.round(1)}mm",
          height: "#{height.round(1)}mm")
      end

      private

      def screw?
        PICTURE.screw?(@fastener)
      end

      def each_wide
        screw? ? PICTURE.across_mm(@fastener) : SIDE_MM
      end

      def width
        (@count * (each_wide + GAP_MM)) + GAP_MM
      end

      def height
        (screw? ? @fastener.length_mm + PICTURE.head_mm(@fastener) : SIDE_MM) + (2 * GAP_MM)
      end

      def one(index)
        left = GAP_MM + (index * (each_wide + GAP_MM))
        screw? ? screw(left) : ring(left)
      end

      # The length is that of the shank, from below the head (as screws are sold, flat heads excepted).
      def screw(left)
        head = PICTURE.head_mm(@fastener)
        thick = PICTURE.thick_mm(@fastener)
        Svg.tag(:rect, x: left, y: GAP_MM, width: each_wide, height: head, rx: 0.6, class: "held-head") +
          Svg.tag(:rect, x: left + ((each_wide - thick) / 2.0), y: GAP_MM + head, width: thick,
            height: @fastener.length_mm, class: "held-shank")
      end

      def ring(left)
        Svg.tag(:circle, cx: left + (SIDE_MM / 2.0), cy: GAP_MM + (SIDE_MM / 2.0), r: (SIDE_MM / 2.0) - 1,
          class: "held-ring")
      end
    end
  end
end
