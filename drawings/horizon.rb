# frozen_string_literal: true

module UprightBench
  module Drawings
    # The coming year as columns of what falls due, week by week; what is overdue stands in front. Each column leads to
    # the cards that leave until its week's end.
    class Horizon
      HEIGHT = 134
      BASE = 100
      TOP = 78.0 # of a column, in the drawing's units
      OVERDUE = 76 # how wide the first column is, which stands for any length of time

      WIDE = { width: 1200, weeks: 53, css: "horizon horizon-wide", counts: 27 }.freeze
      NARROW = { width: 400, weeks: 14, css: "horizon horizon-narrow", counts: 14 }.freeze

      # @param weeks [Array<Hash>] label (String or nil), count (Integer), overdue (Boolean), chosen (Boolean), href
      #   (String), words (String) for those who cannot see it
      def initialize(weeks)
        @all = weeks
      end

      # @return [String] both forms; the stylesheet shows the one that fits
      def render
        draw(WIDE) + draw(NARROW)
      end

      private

      def draw(form)
        weeks = @all.first(form[:weeks])
        base = Svg.tag(:line, x1: 0, y1: BASE, x2: form[:width], y2: BASE, class: "tick")
        Svg.image(form[:width], HEIGHT, columns(form, weeks, most(weeks)).join + base,
          label: "Tasks due: #{weeks.sum { |week| week[:count] }} in #{weeks.size} weeks", role: "group",
          class: form[:css])
      end

      # What is overdue must not flatten the rest.
      def most(weeks)
        [weeks.reject { |week| week[:overdue] }.map { |week| week[:count] }.max, 1].compact.max
      end

      def columns(form, weeks, most)
        step = (form[:width] - OVERDUE) / (weeks.size - 1).to_f
        counted = weeks.size <= form[:counts]
        first, *rest = weeks
        [column(first, 0, OVERDUE, most, counted: true),
         *rest.each_with_index.map do |week, index|
           column(week, OVERDUE + (index * step), step, most, counted: counted)
         end]
      end

      # The whole height may be pressed, however little falls due.
      def column(week, left, step, most, counted:)
        height = TOP * [week[:count], most].min / most
        above = count(week, left + (step / 2), BASE - height - 5, counted)
        "#{link(week, area(week, left, step) + bar(week, left + 3, step - 6, height))}#{above}#{label(week, left + 3)}"
      end

      def label(week, left)
        Svg.text(week[:label], x: left, y: 122, class: "hour") if week[:label]
      end

      def link(week, drawn)
        Svg.tag(:a, drawn, href: week[:href], aria_label: week[:words], aria_current: ("true" if week[:chosen]))
      end

      def area(week, left, width)
        Svg.tag(:rect, x: left, y: 0, width: width, height: HEIGHT,
          class: week[:chosen] ? "due-area due-area-chosen" : "due-area")
      end

      def bar(week, left, width, height)
        Svg.tag(:rect, x: left, y: BASE - height, width: width, height: height,
          class: week[:overdue] ? "due-bar due-bar-over" : "due-bar")
      end

      def count(week, x, y, counted)
        return unless week[:count].positive?

        css = counted || week[:overdue] ? "gauge-text" : "due-count"
        Svg.text(week[:count], x: x, y: y, class: css, text_anchor: "middle")
      end
    end
  end
end
