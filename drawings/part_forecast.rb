# frozen_string_literal: true

module UprightBench
  module Drawings
    # What a part will be asked for, week by week: what falls due solid, what walks in hatched; above it how the pieces
    # that can be counted on run down, against the level they are ordered up to. The stretch until the next order is
    # there is shaded.
    class PartForecast
      WIDTH = 900
      HEIGHT = 230
      LEFT = 40
      TOP = 26
      BASE = 190
      TALLEST = BASE - TOP

      # @param weeks [Array<Float>] pieces asked for by what falls due, week by week
      # @param walk_ins_a_week [Float]
      # @param free [Integer] pieces that can be counted on
      # @param level [Integer] pieces ordered up to
      # @param days [Integer] until the next order is there
      # @param today [Date]
      def initialize(weeks:, walk_ins_a_week:, free:, level:, days:, today:)
        @weeks = weeks
        @walk_ins_a_week = walk_ins_a_week
        @free = free
        @level = level
        @days = days
        @today = today
        @most = [free, level, weeks.map { |due| due + walk_ins_a_week }.max, 1].compact.max.to_f
        @step = (WIDTH - LEFT) / weeks.size.to_f
      end

      # @return [String]
      def render
        Svg.image(WIDTH, HEIGHT, [shade, *columns, base, level, run_down, *labels].join, label: words,
          class: "part-forecast")
      end

      # @return [Integer, nil] the week in which the pieces run out, 0 for this one; nil when they last
      def out_in
        left = @free
        @weeks.index { |due| (left -= due + @walk_ins_a_week) <= 0 }
      end

      private

      def words
        out = out_in
        asked = Core::Units::Figure.words(@weeks.sum + (@walk_ins_a_week * @weeks.size), decimals: 1)
        "#{asked} pieces asked for in #{@weeks.size} weeks; " \
          "#{@free} can be counted on, " \
          "#{out ? "and run out in the week of #{day(@today + (out * 7))}" : 'and last'}; ordered up to #{@level}"
      end

      def day(date)
        Core::Units::Writing.now.day(date, :short)
      end

      def y(pieces)
        BASE - (TALLEST * [pieces, 0].max / @most)
      end

      def x(week)
        LEFT + (week * @step)
      end

      def shade
        Svg.tag(:rect, x: LEFT, y: TOP, width: [@step * @days / 7.0, WIDTH - LEFT].min, height: TALLEST,
          class: "closed")
      end

      def columns
        @weeks.each_with_index.flat_map do |due, week|
          asked = due + @walk_ins_a_week
          [column(week, y(asked), y(due), "due-walk-in"), column(week, y(due), BASE, "due-bar")]
        end
      end

      def column(week, top, foot, css)
        if foot - top < 0.3
          ""
        else
          Svg.tag(:rect, x: x(week) + 6, y: top, width: @step - 12, height: foot - top, class: css)
        end
      end

      def base
        Svg.tag(:line, x1: LEFT, y1: BASE, x2: WIDTH, y2: BASE, class: "tick")
      end

      def level
        Svg.tag(:line, x1: LEFT, y1: y(@level), x2: WIDTH, y2: y(@level),
          class: "order-level") + Svg.text("order up to #{@level}", x: WIDTH - 4, y: y(@level) - 6,
            class: "gauge-faint", text_anchor: "end")
      end

      def run_down
        Svg.tag(:polyline, points: left_by_week.map { |point| point.map { |side| side.round(1) }.join(",") }.join(" "),
          class: "gauge-line run-down") +
          Svg.text(@free, x: LEFT - 6, y: y(@free) + 5, class: "gauge-text", text_anchor: "end")
      end

      # @return [Array<Array(Numeric, Numeric)>] points: what is left at the end of each week
      def left_by_week
        left = @free.to_f
        [[x(0), y(left)]] + @weeks.each_with_index.map { |due, week| [x(week + 1), y(left -= due + @walk_ins_a_week)] }
      end

      def labels
        weeks = (0...@weeks.size).step(2).map do |week|
          Svg.text(day(@today + (week * 7)), x: x(week) + 6, y: BASE + 18, class: "hour")
        end
        weeks << Svg.text("until the next order is there, #{@days} days", x: LEFT + 6, y: TOP - 8, class: "gauge-faint")
      end
    end
  end
end
