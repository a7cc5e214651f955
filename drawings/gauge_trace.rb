# frozen_string_literal: true

module UprightBench
  module Drawings
    # What a gauge showed in the last seconds, as a line.
    class GaugeTrace
      WIDTH = 160
      HEIGHT = 36
      SECONDS = 6.0
      ROOM = 0.1 # of the value, that the line has at least to move in

      # @param shown [Array<Array(Float, Core::Gauges::Shown)>] seconds ago, and what it showed
      def initialize(shown)
        @shown = shown.sort_by { |ago, _| -ago }
      end

      # @return [String] empty for less than two
      def render
        return "" if @shown.size < 2

        points = @shown.map { |ago, shown| "#{x(ago).round(1)},#{y(shown.value).round(1)}" }
        Svg.image(WIDTH, HEIGHT, Svg.tag(:polyline, points: points.join(" "), class: "gauge-trace"),
          label: "The last #{SECONDS.to_i} seconds", class: "gauge-trace-box")
      end

      private

      def x(ago)
        WIDTH * (1 - [ago / SECONDS, 1].min)
      end

      def y(value)
        HEIGHT - 4 - ((HEIGHT - 8) * (value - least) / room)
      end

      def values
        @values ||= @shown.map { |_, shown| shown.value }
      end

      def room
        @room ||= [values.max - values.min, values.max * ROOM, 0.1].max
      end

      def least
        @least ||= ((values.max + values.min) / 2) - (room / 2)
      end
    end
  end
end
