# frozen_string_literal: true

module UprightBench
  module Drawings
    module Kinds
      # A brush strip in section between its guide bars, and the dial setting that its stand-out implies.
      # 4 px a millimetre, as far as the picture goes; new bristles as a ghost, today's in ink, the bars as two feet
      # either side. Gaps are tufts that are not there.
      class Brush < Gauges::Base
        BAR = 44
        PX_A_MM = 4
        LOWEST = 76 # above the number
        TUFTS = (0..10).to_a.freeze
        GAPS = [3, 4, 7, 8].freeze
        FEET = [8, 128].freeze
        DIAL = { x: 184, y: 40, r: 26 }.freeze
        SWEEP = 240.0 # degrees from the lowest setting to the highest

        def label
          said = "Bristles in section, #{standout ? "#{length(standout)} beyond the guide bars" : 'not measured'}"
          said = "#{said}, with gaps" if gaps?
          dial ? "#{said}; height dial to #{dial}" : said
        end

        def content
          bristles(fresh, "bristle-new") + todays + feet +
            limit_line(0, BAR, 150, BAR) + foot(standout ? length(standout) : "?", x: 75) + dial_face
        end

        def feet
          FEET.map { |x| Svg.tag(:rect, x: x, y: 10, width: 14, height: BAR - 10, rx: 4, class: "guide-bar") }.join
        end

        private

        def standout
          @observed[:standout_mm]
        end

        def gaps?
          @observed[:gaps]
        end

        # In ink what was found: how far they stand out, and where some are missing.
        def todays
          return "" unless standout || gaps?

          bristles([standout || fresh, -PX_A_MM].max, "bristle", gaps? ? TUFTS - GAPS : TUFTS)
        end

        def fresh
          @position.measures.fetch("new_standout_mm", 8)
        end

        def settings
          @position.measures["dial_settings"]
        end

        def dial
          return unless standout && settings

          Core::Findings::ReadBrush.dial(standout_mm: standout, new_standout_mm: @position.measures["new_standout_mm"],
            settings: settings)
        end

        def bristles(standout, css, tufts = TUFTS)
          tufts.map do |n|
            Svg.tag(:line, x1: 30 + (n * 9), y1: 10, x2: 30 + (n * 9) + ((n % 3) - 1),
              y2: [BAR + (standout * PX_A_MM), LOWEST].min, class: css)
          end.join
        end

        def dial_face
          return "" unless settings

          marks = (1..settings).map do |setting|
            Svg.text(setting, **at(setting, DIAL[:r] + 10),
              class: setting == dial ? "gauge-text" : "gauge-faint", text_anchor: "middle")
          end
          Svg.tag(:circle, cx: DIAL[:x], cy: DIAL[:y] + 5, r: DIAL[:r] - 4, class: "gauge-line") + marks.join + hand
        end

        # What points at the setting.
        def hand
          return "" unless dial

          tip = at(dial, DIAL[:r] - 4)
          Svg.tag(:line, x1: DIAL[:x], y1: DIAL[:y] + 5, x2: tip[:x], y2: tip[:y], class: "gauge-hand")
        end

        def at(setting, radius)
          left, top = DIAL.values_at(:x, :y)
          point = Complex(left, top + (radius > DIAL[:r] ? 10 : 5)) + Complex.polar(radius, turn(setting))
          { x: point.real.round(1), y: point.imaginary.round(1) }
        end

        # @return [Float] where a setting stands on the dial, radians from the right, clockwise
        def turn(setting)
          share = settings == 1 ? 0.5 : (setting - 1) / (settings - 1.0)
          ((share * SWEEP) + 150) * Math::PI / 180
        end
      end
    end
  end
end
