# frozen_string_literal: true

module UprightBench
  module Drawings
    module Gauges
      # What the gauges share: a position, what was seen there, and how lengths are written.
      class Base
        MIDDLE = 110
        FOOT = 88 # where the number stands

        def initialize(position, observed, policy)
          @position = position
          @observed = observed
          @policy = policy
        end

        private

        def length(millimetres)
          millimetres ? Core::Units::Length.words(millimetres, unit: @policy.length_unit) : "not measured"
        end

        def foot(words, x: MIDDLE)
          Svg.text(words, x: x, y: FOOT, class: "gauge-text", text_anchor: "middle")
        end

        def path(shape, css)
          Svg.tag(:path, d: shape, class: css)
        end

        def limit_line(x1, y1, x2, y2)
          Svg.tag(:line, x1: x1, y1: y1, x2: x2, y2: y2, class: "limit")
        end
      end
    end
  end
end
