# frozen_string_literal: true

module UprightBench
  module Drawings
    module Gauges
      # What fills, as far as it was found, with the line at which it is changed or emptied; fine scratches of a haze
      # stand in its wall. Each kind has its SHAPE, its DUE (what is done at the line) and its `limit`.
      class Container < Base
        TOP = 10
        FLOOR = 72
        HAZE = "M78 20l10 12M88 18l14 18M104 22l8 12M118 16l12 18M132 24l10 12M82 44l12 14M100 46l12 12M124 44l12 16"

        def label
          "#{@position.name}, #{@observed[:fill_percent] ? "#{fill} % full" : 'fill not measured'}, " \
            "#{self.class::DUE} at #{limit} %" \
            "#{', hazed by scratches' if @observed[:haze]}"
        end

        def content
          line = level(limit)
          dust + path(self.class::SHAPE, "wall") + flaws + limit_line(58, line, 162, line) +
            Svg.text("#{limit} %", x: 168, y: line + 5, class: "gauge-text") + foot(fill_words)
        end

        def fill_words
          @observed[:fill_percent] ? "#{Core::Units::Figure.words(fill)} %" : "?"
        end

        def dust
          top = level(fill)
          Svg.tag(:rect, x: 70, y: top, width: 80, height: FLOOR - top, class: "dust")
        end

        private

        def flaws
          (@observed[:haze] ? path(HAZE, "gauge-hair") : "") +
            (@observed[:burst] || @observed[:cracked] ? path("M150 30l-12 8 8 8-12 10", "gauge-crack") : "")
        end

        def fill
          @observed[:fill_percent] || 0
        end

        def level(percent)
          FLOOR - (percent * (FLOOR - TOP) / 100.0)
        end
      end
    end
  end
end
