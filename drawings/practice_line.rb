# frozen_string_literal: true

module UprightBench
  module Drawings
    # Rounds of practice as a line over time: minutes beside those of the best order, one being as good as it. A round
    # that named the wrong fault is a cross.
    class PracticeLine
      WIDTH = 720
      HEIGHT = 180
      LEFT = 44
      TOP = 16
      FLOOR = 150
      MOST = 4.0 # times the best; what took longer is drawn there

      # A round: its day in words, its minutes by those of the best order, and whether the right fault was named.
      Point = Struct.new(:day, :ratio, :right, keyword_init: true)

      # @param points [Array<Point>] the oldest first, two at least
      def initialize(points)
        @points = points
      end

      # @return [String]
      def render
        Svg.image(WIDTH, HEIGHT, [best, line, *marks, ends].join, label: words, class: "practice-line")
      end

      private

      def words
        "#{@points.size} rounds, from #{times(@points.first)} to #{times(@points.last)} times the best order; " \
          "#{@points.count(&:right)} named right"
      end

      def times(point)
        Core::Units::Figure.words(point.ratio.round(1))
      end

      def x(index)
        LEFT + 12 + ((WIDTH - LEFT - 36) * index / (@points.size - 1).to_f)
      end

      def y(ratio)
        FLOOR - ((FLOOR - TOP) * [ratio, MOST].min / MOST)
      end

      def best
        Svg.tag(:line, x1: LEFT, y1: y(1), x2: WIDTH - 8, y2: y(1), class: "practice-best") +
          Svg.text("best", x: 2, y: y(1) + 4, class: "hour") + Svg.text("× 4", x: 2, y: y(MOST) + 4, class: "hour")
      end

      def line
        points = @points.each_with_index.map { |point, index| "#{x(index).round(1)},#{y(point.ratio).round(1)}" }
        Svg.tag(:polyline, points: points.join(" "), class: "practice-run")
      end

      def marks
        @points.each_with_index.map do |point, index|
          across = x(index)
          down = y(point.ratio)
          next Svg.tag(:circle, cx: across, cy: down, r: 6, class: "practice-right") if point.right

          Svg.tag(:path, d: "M#{(across - 6).round(1)} #{(down - 6).round(1)}l12 12m0 -12l-12 12",
            class: "practice-wrong")
        end
      end

      def ends
        Svg.text(@points.first.day, x: LEFT, y: FLOOR + 20, class: "hour") +
          Svg.text(@points.last.day, x: WIDTH - 8, y: FLOOR + 20, class: "hour practice-last")
      end
    end
  end
end
