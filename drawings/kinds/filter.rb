# frozen_string_literal: true

module UprightBench
  module Drawings
    module Kinds
      # A filter against its grey scale, from white to as dark as the reference; under it the indicator, where it has
      # one.
      class Filter < Gauges::Base
        STEPS = 6

        def label
          said = "#{@position.name}, #{@observed[:grey] ? "grey #{@observed[:grey]} of 5" : 'grey not graded'}"
          indicator ? "#{said}, indicator at #{Core::Units::Figure.words(indicator)} %" : said
        end

        def content
          (0...STEPS).map { |step| patch(step) }.join + strip +
            (@observed[:torn] ? path("M20 10l34 16-14 8 30 18", "gauge-crack") : "")
        end

        private

        def indicator
          @observed[:indicator_percent]
        end

        def patch(step)
          Svg.tag(:rect, x: 14 + (step * 33), y: 10, width: 27, height: 36, rx: 3,
            class: "grey grey-#{step}#{' grey-now' if step == @observed[:grey]}") +
            Svg.text(step, x: 27.5 + (step * 33), y: 62, class: "gauge-text", text_anchor: "middle")
        end

        def strip
          return "" unless @position.asks_for?("indicator")

          Svg.tag(:rect, x: 14, y: 72, width: 192, height: 14, class: "wall") +
            Svg.tag(:rect, x: 14, y: 72, width: 1.92 * (indicator || 0), height: 14, class: "dust")
        end
      end
    end
  end
end
