# frozen_string_literal: true

module UprightBench
  module Drawings
    module Gauges
      # A part drawn in the state it was found in. Each kind has its picture; a state takes something away, bends it, or
      # lays dust, hair or a crack over it. Nothing looked at yet is drawn as a ghost of the good state.
      class State < Base
        LAYERS = { line: "wall", thin: "gauge-line", fill: "dust", ghost: "gauge-ghost", hair: "gauge-hair",
                   crack: "gauge-crack" }.freeze
        SPECKS = [[70, 30], [84, 44], [98, 26], [112, 50], [126, 34], [140, 46], [92, 58], [118, 20], [148, 24],
                  [78, 56]].freeze

        def label
          "#{@position.name}: #{found || 'not looked at'}"
        end

        def content
          picture = Shapes::BY_KIND.fetch(@position.kind)
          extra = picture.fetch(found, [])
          base = %i[line ghost].include?(extra.first&.first) ? [] : picture.fetch(:good)
          (base + extra).map { |how, shape| layer(how, shape) }.join + foot(found || "?")
        end

        private

        # What was seen, whatever the field is called.
        def found
          @found ||= @observed[:state] || @observed[:turns]
        end

        def layer(how, shape)
          return SPECKS.map { |x, y| Svg.tag(:circle, cx: x, cy: y, r: 3.5, class: "dust") }.join if how == :specks

          path(shape, found ? LAYERS.fetch(how) : "gauge-ghost")
        end
      end
    end
  end
end
