# frozen_string_literal: true

module UprightBench
  module Drawings
    # A drying clock: water that falls as the time runs, empty when dry.
    class RackClock
      # @param share [Float] of the drying time that has passed, 0 to 1
      # @param label [String]
      def initialize(share:, label:)
        @share = share.clamp(0.0, 1.0)
        @label = label
      end

      # @return [String]
      def render
        top = 6 + (52 * @share)
        Svg.image(64, 64, Svg.tag(:rect, x: 8, y: top, width: 48, height: 58 - top,
          class: @share >= 1 ? "water water-gone" : "water") +
          Svg.tag(:path, d: "M8 4v50q0 6 6 6h36q6 0 6-6v-50", class: "wall"), label: @label, class: "rack-clock")
      end
    end
  end
end
