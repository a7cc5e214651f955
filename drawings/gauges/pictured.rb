# frozen_string_literal: true

module UprightBench
  module Drawings
    module Gauges
      # A part drawn in the state it was found in. Each kind has its PICTURES, state => layers, the good one first; a
      # layer is [how, path], or [:specks] for dust. A state takes something away, bends it, or lays dust, hair or a
      # crack over the good one. Nothing looked at yet is drawn as a ghost of the good state.
      class Pictured < Base
        LAYERS = { line: "wall", thin: "gauge-line", fill: "dust", ghost: "gauge-ghost", hair: "gauge-hair",
                   crack: "gauge-crack" }.freeze
        SPECKS = [[70, 30], [84, 44], [98, 26], [112, 50], [126, 34], [140, 46], [92, 58], [118, 20], [148, 24],
                  [78, 56]].freeze
        # A state whose first layer is one of these is drawn without the good one under it.
        WHOLE = %i[line ghost].freeze

        def label
          "#{@position.name}: #{found || 'not looked at'}"
        end

        def content
          layers.map { |how, shape| layer(how, shape) }.join + foot(found || "?")
        end

        private

        # A later sheet may have another kind here, which has no such state.
        def found
          word = @observed[@position.kind_of_part.states_in]
          word if self.class::PICTURES.key?(word)
        end

        def layers
          good, = self.class::PICTURES.values
          picture = found ? self.class::PICTURES.fetch(found) : good
          picture.equal?(good) || WHOLE.include?(picture.first.first) ? picture : good + picture
        end

        def layer(how, shape)
          return SPECKS.map { |x, y| Svg.tag(:circle, cx: x, cy: y, r: 3.5, class: "dust") }.join if how == :specks

          path(shape, found ? LAYERS.fetch(how) : "gauge-ghost")
        end
      end
    end
  end
end
