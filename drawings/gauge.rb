# frozen_string_literal: true

module UprightBench
  module Drawings
    # What is judged at a position, drawn as it was found: bristles against the guide bars, fill against the line,
    # a filter's grey, a length against its limit, the state of a part.
    class Gauge
      WIDTH = 220
      HEIGHT = 92
      # A kind that is not here is drawn by its state alone.
      BY_KIND = { brush: Gauges::Brush, bag: Gauges::Container, bin: Gauges::Container, filter: Gauges::Grey,
                  belt: Gauges::Belt, carbon: Gauges::Carbon,
                  battery: Gauges::Battery }.freeze

      # @param position [Core::Sheets::Position]
      # @param observed [Hash{Symbol=>Object}]
      # @param policy [Core::Findings::Policy]
      def initialize(position:, observed:, policy:)
        @drawing = BY_KIND.fetch(position.kind, Gauges::State).new(position, observed, policy)
      end

      # @return [String] a whole SVG
      def render
        Svg.image(WIDTH, HEIGHT, @drawing.content, label: @drawing.label, class: "gauge")
      end
    end
  end
end
