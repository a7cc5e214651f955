# frozen_string_literal: true

module UprightBench
  module Drawings
    # The coming months as columns of what falls due, week by week; what is overdue stands in front.
    class Horizon
      HEIGHT = 130
      BASE = 96

      WIDE = { width: 1200, weeks: 27, css: "horizon horizon-wide" }.freeze
      NARROW = { width: 400, weeks: 9, css: "horizon horizon-narrow" }.freeze

      # @param weeks [Array<Hash>] label (String or nil), count (Integer), overdue (Boolean)
      def initialize(weeks)
        @all = weeks
      end

      # @return [String] both forms; the stylesheet shows the one that fits
      def render
        draw(WIDE) + draw(NARROW)
      end

      private

      def draw(form)
        @weeks = @all.first(form[:weeks])
        most = [@weeks.reject { |week| week[:overdue] }.map { |week| week[:count] }.max, 1].compact.max # what is overdue must not flatten the rest
        step = form[:width] / @weeks.size.to_f
        columns = @weeks.each_with_index.map { |week, place| column(week, place * step, step, most) }
        Svg.image(form[:width], HEIGHT, columns.join + Svg.tag(:line, x1: 0, y1: BASE, x2: form[:width], y2: BASE, class: "tick"),
                  label: "Tasks due: #{@weeks.sum { |week| week[:count] }} in #{@weeks.size} weeks", class: form[:css])
      end

      def column(week, left, step, most)
        height = 70.0 * [week[:count], most].min / most
        bar = Svg.tag(:rect, x: left + 4, y: BASE - height, width: step - 8, height: height, class: week[:overdue] ? "due-bar due-bar-over" : "due-bar")
        count = week[:count].positive? ? Svg.text(week[:count], x: left + (step / 2), y: BASE - height - 6, class: "gauge-text", text_anchor: "middle") : ""
        label = week[:label] ? Svg.text(week[:label], x: left + 4, y: 118, class: "hour") : ""
        bar + count + label
      end
    end
  end
end
