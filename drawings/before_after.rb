# frozen_string_literal: true

module UprightBench
  module Drawings
    # What a machine pulled before the work and after it, as shares of a machine in order: an open ring, then a filled
    # one, on a line from nothing to all.
    class BeforeAfter
      WIDTH = 240
      HEIGHT = 34
      EDGE = 12
      MIDDLE = 14
      MOST = 1.1

      # @param before [Float] share
      # @param after [Float] share
      def initialize(before, after)
        @before = before
        @after = after
      end

      # @return [String]
      def render
        Svg.image(WIDTH, HEIGHT, [scale, way, rings].join, label: words, class: "before-after")
      end

      private

      def words
        "#{percent(@before)} before the work, #{percent(@after)} after it, of a machine in order"
      end

      def scale
        Svg.tag(:line, x1: x(0), y1: MIDDLE, x2: x(MOST), y2: MIDDLE, class: "before-after-scale") +
          Svg.tag(:line, x1: x(1), y1: MIDDLE - 8, x2: x(1), y2: MIDDLE + 8, class: "before-after-scale") +
          Svg.text("100 %", x: x(1), y: HEIGHT - 1)
      end

      def way
        Svg.tag(:line, x1: x(@before), y1: MIDDLE, x2: x(@after), y2: MIDDLE, class: "air-gained")
      end

      def rings
        Svg.tag(:circle, cx: x(@before), cy: MIDDLE, r: 5, class: "air-before") +
          Svg.tag(:circle, cx: x(@after), cy: MIDDLE, r: 5, class: "air-after")
      end

      def x(share)
        EDGE + ((WIDTH - (2 * EDGE)) * [share, MOST].min / MOST)
      end

      def percent(share)
        "#{(share * 100).round} %"
      end
    end
  end
end
