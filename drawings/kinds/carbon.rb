# frozen_string_literal: true

module UprightBench
  module Drawings
    module Kinds
      # A carbon brush pressing on the commutator: what is left of it, and the least it may be.
      class Carbon < Gauges::Base
        ROOM = 120.0
        RIGHT = 160

        def label
          "#{@position.name}, #{left ? "#{length(left)} left" : 'not measured'}#{", least #{length(least)}" if least}"
        end

        def content
          Svg.tag(:circle, cx: 186, cy: 40, r: 26, class: "gauge-line") + block(fresh, "gauge-ghost") +
            (left ? block(left, "dust") : "") + least_line + sparks + foot(left ? length(left) : "?")
        end

        def least_line
          least ? limit_line(RIGHT - px(least), 18, RIGHT - px(least), 62) : ""
        end

        def sparks
          @observed[:sparks] ? path("M160 20l12 8-10 6 14 10", "gauge-crack") : ""
        end

        private

        def left
          @observed[:length_mm]
        end

        def fresh
          @position.measures.fetch("new_length_mm", 40)
        end

        def least
          @position.measures["least_length_mm"]
        end

        def px(millimetres)
          [millimetres / fresh.to_f, 1].min * ROOM
        end

        def block(millimetres, css)
          Svg.tag(:rect, x: RIGHT - px(millimetres), y: 26, width: px(millimetres), height: 28, class: css)
        end
      end
    end
  end
end
