# frozen_string_literal: true

module UprightBench
  module Drawings
    module Kinds
      # A belt round its two pulleys; below it how far it has stretched between its length when new and the limit.
      class Belt < Gauges::Base
        SCALE = { left: 30, width: 160, y: 66 }.freeze
        BEYOND = 1.5 # the scale runs on past the limit

        def label
          return "#{@position.name}, #{length(now)}; the sheet gives no length" unless nominal

          "#{@position.name}, #{length(now)}, new #{length(nominal)}, limit #{length(limit)}"
        end

        def content
          path("M60 12h100a18 18 0 0 1 0 36h-100a10 10 0 0 1 0-20z", "gauge-line") + pulleys +
            (@observed[:cracked] ? path("M100 8l6 10M120 8l6 10", "gauge-crack") : "") +
            (nominal ? scale : foot(length(now)))
        end

        private

        def now
          @observed[:length_mm]
        end

        def nominal
          @position.measures["length_mm"]
        end

        def limit
          nominal * (1 + (@policy.belt_stretch_percent / 100.0))
        end

        def pulleys
          Svg.tag(:circle, cx: 160, cy: 30, r: 12, class: "gauge-line") +
            Svg.tag(:circle, cx: 64, cy: 38, r: 6, class: "gauge-line")
        end

        def scale
          left, y = SCALE.values_at(:left, :y)
          Svg.tag(:line, x1: left, y1: y, x2: left + SCALE[:width], y2: y, class: "gauge-line") +
            limit_line(at(limit), y - 8, at(limit), y + 8) + measured(left, y) + foot(now ? length(now) : "?")
        end

        def measured(left, y)
          now ? Svg.tag(:rect, x: left, y: y - 5, width: at(now) - left, height: 10, class: "dust") : ""
        end

        # Where a length stands on the scale, which begins at the length when new.
        def at(millimetres)
          share = (millimetres - nominal) / ((limit - nominal) * BEYOND)
          SCALE[:left] + (share.clamp(0, 1) * SCALE[:width])
        end
      end
    end
  end
end
