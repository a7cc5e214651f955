# frozen_string_literal: true

module UprightBench
  module Drawings
    # A step of opening a machine, drawn: the outline of what comes off, and what holds it where it sits, each with the
    # shape that its driver turns. What differs in driver or length has a letter of its own.
    class StepPlan
      EDGE = 6 # of the outline, from the border
      RADIUS = 7
      # shape => path within a circle of radius 1
      TURNED = { cross: "M-0.6 0H0.6M0-0.6V0.6", slot: "M-0.65 0H0.65",
                 hex: "M0-0.6L0.52-0.3V0.3L0 0.6L-0.52 0.3V-0.3Z",
                 star: "M0-0.6L0.17-0.17L0.6 0L0.17 0.17L0 0.6L-0.17 0.17L-0.6 0L-0.17-0.17Z", plain: "M0 0" }.freeze

      # @param step [Core::Sheets::Step]
      # @param edited [Boolean] each point can be taken hold of
      def initialize(step, edited: false)
        @step = step
        @edited = edited
      end

      # @return [String]
      def render
        Svg.image(*size, outline + points.join, label: label, role: @edited ? "group" : "img", class: "step-plan",
          **(@edited ? { data_outline: @step.outline } : {}))
      end

      private

      def size
        @size ||= Core::Strip::Picture::SIZES.fetch(@step.outline)
      end

      def label
        held = @step.fasteners.map(&:words)
        held.empty? ? @step.name : "#{@step.name}: #{held.join('; ')}"
      end

      def outline
        width, height = size
        if @step.outline == "round"
          Svg.tag(:circle, cx: width / 2, cy: height / 2, r: (width / 2) - EDGE, class: "step-outline")
        else
          Svg.tag(:rect, x: EDGE, y: EDGE, width: width - (2 * EDGE), height: height - (2 * EDGE), rx: 10,
            class: "step-outline")
        end
      end

      def points
        @step.fasteners.each_with_index.flat_map do |held, row|
          held.at.each_with_index.map { |at, index| point(held, row, at, index) }
        end
      end

      def point(held, row, at, index)
        x, y = size.zip(at).map { |side, percent| (side * percent / 100.0).round(1) }
        Svg.tag(:g, mark(held) + letter(row, at), class: "held", transform: "translate(#{x} #{y})",
          **(@edited ? hand(held, row, index) : {}))
      end

      def mark(held)
        return Svg.tag(:circle, r: size.min / 4, class: "held-clip-ring") if held.kind == "clip_ring"

        Svg.tag(:circle, r: RADIUS) + Svg.tag(:path, d: TURNED.fetch(held.shape), transform: "scale(#{RADIUS})")
      end

      # On the side where there is room for it.
      def letter(row, at)
        left = at[0] > 80
        low = at[1] < 20
        Svg.text(Core::Strip::Picture.letter(row), x: (RADIUS + 2) * (left ? -1 : 1), y: low ? RADIUS + 6 : 4 - RADIUS,
          text_anchor: (left ? "end" : nil))
      end

      # What a hand and the keys need.
      def hand(held, row, index)
        { tabindex: 0, role: "button", data_row: row, data_index: index,
          aria_label: "#{held.what}, #{index + 1} of #{held.count}: move it with the arrow keys" }
      end
    end
  end
end
