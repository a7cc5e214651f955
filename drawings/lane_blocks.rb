# frozen_string_literal: true

module UprightBench
  module Drawings
    # What stands in a lane of the plan: steps, each a link with its job's number, and when somebody is away.
    class LaneBlocks
      NUMBER = 36 # what a job's number takes, written along
      LETTER = 7.5 # of what is written small, more or less
      LEAST = 9 # and across

      # @param drawn [Lanes::Drawn]
      # @param height [Numeric] of a lane
      def initialize(drawn, scale:, height:, words:, path:)
        @drawn = drawn
        @scale = scale
        @height = height
        @words = words
        @path = path
      end

      def away(away, top)
        left, width = @scale.span(away.from, away.till)
        Svg.tag(:rect, x: left, y: top + 3, width: width, height: @height - 12, class: "lane-away") +
          (width > 40 ? Svg.text("away", x: left + 6, y: top + middle, class: "lane-away-word") : "")
      end

      def step(step, top)
        left, width = @scale.span(step.from, step.till)
        width = [width - 1, 4].max
        path = @path.call(step)
        Svg.tag(:a, inside(step, left, width, top), href: path, aria_label: @words.call(step), class: css(step),
          hx_get: path, hx_target: "#step", hx_select: "#step", hx_swap: "outerHTML", hx_push_url: "true")
      end

      private

      def inside(step, left, width, top)
        box = Svg.tag(:rect, x: left, y: top + 3, width: width, height: @height - 12, rx: 2)
        pin = Svg.tag(:circle, cx: left + width - 5, cy: top + 8, r: 3.5, class: "lane-pin") if pinned?(step)
        "#{box}#{number(step, left, width, top)}#{pin}"
      end

      def css(step)
        chosen = @drawn.chosen == [step.job, step.key]
        ["lane-block", "lane-#{step.key.to_s.tr('_', '-')}", ("lane-chosen" if chosen)].compact.join(" ")
      end

      def pinned?(step)
        @drawn.pinned.include?([step.job, step.key])
      end

      # Along where there is room, else across.
      def number(step, left, width, top)
        across = (left + (width / 2)).round(1)
        return along(step, across, width, top) if width >= NUMBER
        return "" if width < LEAST

        down = top + middle - 3
        Svg.text(step.job, x: across, y: down, transform: "rotate(-90 #{across} #{down}) translate(0 4)",
          class: "lane-number lane-across")
      end

      # With whose it is, where there is room for it.
      def along(step, across, width, top)
        who = @drawn.customers[step.job].to_s
        fits = (who.size * LETTER) + 8 < width
        number = Svg.text(step.job, x: across, y: top + middle - (fits ? 6 : -2), class: "lane-number")
        fits ? "#{number} " + Svg.text(who, x: across, y: top + middle + 13, class: "lane-who") : number
      end

      def middle
        @height / 2
      end
    end
  end
end
