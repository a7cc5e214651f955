# frozen_string_literal: true

module UprightBench
  module Drawings
    # How full a day is: what is planned solid, what is booked behind it, up to all the hands that there are.
    class DayBar
      WIDTH = 220
      HEIGHT = 18

      # @param day [Core::Bench::Day]
      # @param label [String]
      def initialize(day, label:)
        @day = day
        @label = label
      end

      # @return [String]
      def render
        planned = x(@day.planned_minutes)
        Svg.image(WIDTH, HEIGHT, [
          Svg.tag(:rect, x: 0, y: 3, width: WIDTH, height: 12, class: "day-all"),
          Svg.tag(:rect, x: 0, y: 3, width: planned, height: 12, class: "hands-on"),
          Svg.tag(:rect, x: planned, y: 3, width: x(@day.taken_minutes) - planned, height: 12, class: "day-booked"),
          Svg.tag(:line, x1: most, y1: 0, x2: most, y2: HEIGHT, class: "day-most")
        ].join, label: @label, class: "day-bar")
      end

      private

      def x(minutes)
        return 0.0 if @day.hands_minutes.zero?

        (minutes.fdiv(@day.hands_minutes) * WIDTH).clamp(0, WIDTH).round(1)
      end

      # Beyond that, no machine is booked.
      def most
        (Core::Bench::Day::MOST_TAKEN * WIDTH).round(1)
      end
    end
  end
end
