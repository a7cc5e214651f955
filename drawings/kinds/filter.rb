# frozen_string_literal: true

module UprightBench
  module Drawings
    module Kinds
      # A filter against its grey scale, from white to as dark as the reference; under it the indicator, where it has
      # one, and a mark for each thing that was found of it.
      class Filter < Gauges::Base
        STEPS = 6
        LEFT = 14
        RIGHT = 206
        TOP = 72 # of what stands under the scale
        TORN = "M20 10l34 16-14 8 30 18"
        # found => how it is drawn, in a field of MARK pixels
        MARKS = {
          damp: ["dust", "M8 0q-12 14 0 17q12-3 0-17z"],
          smell: ["gauge-hair", "M4 17q-6-4 0-8t0-8M12 17q-6-4 0-8t0-8M20 17q-6-4 0-8t0-8"],
          loose: ["gauge-crack", "M2 12l18-9 3 6-18 9z"],
          after_wash: ["gauge-hair", "M0 5q4-6 8 0t8 0t8 0M0 14q4-6 8 0t8 0t8 0"]
        }.freeze
        MARK = 32
        WORDS = { torn: "torn", damp: "damp", smell: "smells", loose: "loose", after_wash: "washed today" }.freeze

        def label
          graded = @observed[:grey] ? "grey #{@observed[:grey]} of 5" : "grey not graded"
          said = [@position.name, graded, *WORDS.values_at(*found), *indicator_words]
          said.join(", ")
        end

        def content
          (0...STEPS).map { |step| patch(step) }.join + strip + drawn_marks +
            (@observed[:torn] ? path(TORN, "gauge-crack") : "")
        end

        private

        # @return [Array<Symbol>] in the order in which they are asked
        def found
          WORDS.keys.select { |name| @observed[name] }
        end

        def marks
          found - [:torn]
        end

        def indicator
          @observed[:indicator_percent]
        end

        def indicator_words
          ["indicator at #{Core::Units::Figure.words(indicator)} %"] if indicator
        end

        # At the right, so that what there is of them stands beside the indicator.
        def drawn_marks
          left = RIGHT + 8 - (MARK * marks.size)
          marks.each_with_index.map do |name, at|
            css, shape = MARKS.fetch(name)
            Svg.tag(:g, path(shape, css), transform: "translate(#{left + (MARK * at)} #{TOP - 2})")
          end.join
        end

        def patch(step)
          Svg.tag(:rect, x: LEFT + (step * 33), y: 10, width: 27, height: 36, rx: 3,
            class: "grey grey-#{step}#{' grey-now' if step == @observed[:grey]}") +
            Svg.text(step, x: 27.5 + (step * 33), y: 62, class: "gauge-text", text_anchor: "middle")
        end

        def strip
          return "" unless @position.asks_for?("indicator")

          width = RIGHT - LEFT - (MARK * marks.size)
          Svg.tag(:rect, x: LEFT, y: TOP, width: width, height: 14, class: "wall") +
            Svg.tag(:rect, x: LEFT, y: TOP, width: width * (indicator || 0) / 100.0, height: 14, class: "dust")
        end
      end
    end
  end
end
