# frozen_string_literal: true

module UprightBench
  module Drawings
    # A share on a line from none to all: where it stands, and within which bounds it may lie.
    class ShareBar
      WIDTH = 220
      HEIGHT = 26
      EDGE = 6

      # @param share [Core::Stats::Wilson]
      def initialize(share)
        @share = share
      end

      # @return [String]
      def render
        line = Svg.tag(:line, x1: x(0), y1: 13, x2: x(1), y2: 13, class: "tick")
        bounds = Svg.tag(:rect, x: x(@share.low), y: 8, width: x(@share.high) - x(@share.low), height: 10,
          class: "due-bar")
        dot = @share.share ? Svg.tag(:circle, cx: x(@share.share), cy: 13, r: 5, class: "share-dot") : ""
        Svg.image(WIDTH, HEIGHT, line + bounds + dot, label: words, class: "share-bar")
      end

      private

      def words
        "between #{(@share.low * 100).round} and #{(@share.high * 100).round} in a hundred"
      end

      def x(share)
        EDGE + (share * (WIDTH - (2 * EDGE)))
      end
    end
  end
end
