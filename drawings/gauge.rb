# frozen_string_literal: true

module UprightBench
  module Drawings
    # What is measured at a position, drawn: bristles against the guide bars, fill against the line, a filter's grey.
    class Gauge
      WIDTH = 220
      HEIGHT = 92
      GREYS = 6

      # @param position [Core::Sheets::Position]
      # @param observed [Hash{Symbol=>Object}]
      # @param policy [Core::Findings::Policy]
      def initialize(position:, observed:, policy:)
        @position = position
        @observed = observed
        @policy = policy
      end

      # @return [String, nil] nil where there is nothing to draw
      def render
        case @position.kind
        when :brush then image(brush, "Bristles in section, #{shown(:standout_mm, 'mm')} beyond the guide bars")
        when :bag then image(container(@policy.bag_limit_percent), "Bag, #{shown(:fill_percent, '%')} full, change at #{@policy.bag_limit_percent} %")
        when :bin then image(container(@policy.bin_limit_percent), "Bin, #{shown(:fill_percent, '%')} full, empty at #{@policy.bin_limit_percent} %")
        when :filter then image(filter, "Filter, grey #{shown(:grey, 'of 5')}")
        end
      end

      private

      def image(content, label)
        Svg.image(WIDTH, HEIGHT, content, label: label, class: "gauge")
      end

      def shown(field, unit)
        @observed[field] ? "#{format('%g', @observed[field])} #{unit}" : "not measured"
      end

      # 4 px a millimetre; new bristles as a ghost, today's in ink, the bars as two feet either side.
      def brush
        fresh = @position.measures.fetch("new_standout_mm", 8)
        bar = 44
        now = @observed[:standout_mm]
        bristles(fresh, bar, "bristle-new") + (now ? bristles([now, -4].max, bar, "bristle") : "") +
          [28, 176].map { |x| Svg.tag(:rect, x: x, y: 10, width: 16, height: bar - 10, rx: 4, class: "guide-bar") }.join +
          Svg.tag(:line, x1: 16, y1: bar, x2: 204, y2: bar, class: "limit") +
          Svg.text(now ? "#{format('%g', now)} mm" : "? mm", x: 110, y: 90, class: "gauge-text", text_anchor: "middle")
      end

      def bristles(standout, bar, css)
        (0..12).map { |n| Svg.tag(:line, x1: 56 + (n * 9), y1: 10, x2: 56 + (n * 9) + ((n % 3) - 1), y2: bar + (standout * 4), class: css) }.join
      end

      def container(limit)
        fill = @observed[:fill_percent] || 0
        level = 72 - (fill * 0.62)
        line = 72 - (limit * 0.62)
        Svg.tag(:rect, x: 70, y: level, width: 80, height: 72 - level, class: "dust") +
          Svg.tag(:path, d: "M70 10v56q0 6 6 6h68q6 0 6-6v-56", class: "wall") +
          Svg.tag(:line, x1: 58, y1: line, x2: 162, y2: line, class: "limit") +
          Svg.text("#{limit} %", x: 168, y: line + 5, class: "gauge-text") + Svg.text("#{fill} %", x: 110, y: 90, class: "gauge-text", text_anchor: "middle")
      end

      def filter
        grey = @observed[:grey]
        (0...GREYS).map do |step|
          Svg.tag(:rect, x: 14 + (step * 33), y: 16, width: 27, height: 40, rx: 3, class: "grey grey-#{step}#{' grey-now' if step == grey}")
        end.join + (0...GREYS).map { |step| Svg.text(step, x: 27.5 + (step * 33), y: 76, class: "gauge-text", text_anchor: "middle") }.join
      end
    end
  end
end
