# frozen_string_literal: true

module UprightBench
  module Drawings
    # What is judged at a position, drawn as it was found: bristles against the guide bars, fill against the line,
    # a filter's grey, a length against its limit, the state of a part.
    class Gauge
      WIDTH = 220
      HEIGHT = 92
      # Core::Kinds::SideBrush is drawn by Drawings::Kinds::SideBrush.
      BY_KIND = Core::Kinds::ALL.keys.to_h { |key| [key, Kinds.const_get(key.to_s.split("_").map(&:capitalize).join)] }
        .freeze

      # @param position [Core::Sheets::Position]
      # @param observed [Hash{Symbol=>Object}]
      # @param policy [Core::Findings::Policy]
      def initialize(position:, observed:, policy:)
        @drawing = BY_KIND.fetch(position.kind).new(position, observed, policy)
      end

      # @return [String] a whole SVG
      def render
        Svg.image(WIDTH, HEIGHT, @drawing.content, label: @drawing.label, class: "gauge")
      end
    end
  end
end
