# frozen_string_literal: true

require "date"

module UprightBench
  module Drawings
    # A machine's life on a line of years, a lane for each place in the order of the air path: how long each part sat
    # there, when it was washed or cleaned and what was found, and when what comes next falls due, between its bounds.
    class Years
      LANE = 30
      HEAD = 26
      BAR = 12
      FORMS = [{ width: 1200, names: 230, css: "years years-wide" },
               { width: 400, names: 0, css: "years years-narrow" }].freeze
      LETTERS = { "wash" => "W", "clean" => "C", "inspect" => "L", "refer" => "X" }.freeze
      LEAST_DAYS = 365

      # A place: `fitted` are pairs of dates (the first nil when unknown, the last nil while it sits there), `done` and
      # `found` are [date, words], `due` is [date, early, late, words] or nil.
      Lane = Struct.new(:name, :fitted, :done, :found, :due, keyword_init: true)

      # @param lanes [Array<Lane>]
      # @param jobs [Array<Date>]
      # @param today [Date]
      def initialize(lanes:, jobs:, today:)
        @lanes = lanes
        @jobs = jobs
        @today = today
      end

      # @return [String] both forms; the stylesheet shows the one that fits
      def render
        FORMS.map { |form| draw(form) }.join
      end

      private

      def draw(form)
        @form = form
        @lane = form[:names].zero? ? LANE + 18 : LANE
        Svg.image(form[:width], height, years + job_lines + @lanes.each_with_index.map { |lane, row| lane(lane, row) }
          .join + now,
          label: "The machine's years: #{@lanes.size} places, #{@jobs.size} jobs", class: form[:css])
      end

      def height
        HEAD + (@lanes.size * @lane) + 8
      end

      def dates
        @dates ||= @lanes.flat_map do |lane|
          [*lane.fitted.flatten, *lane.done.map(&:first), *lane.found.map(&:first), *lane.due&.first(3)]
        end.compact + @jobs + [@today]
      end

      # A due date in ten years would leave no room for what was.
      def first
        @first ||= [dates.min, @today - LEAST_DAYS].min
      end

      def last
        @last ||= dates.max.clamp(@today + 60, @today + (2 * LEAST_DAYS))
      end

      def x(date)
        left, width = @form.values_at(:names, :width)
        days = date.clamp(first, last).jd - first.jd
        left + 4 + (days.fdiv(last.jd - first.jd) * (width - left - 12))
      end

      def years
        (first.year..last.year).map do |year|
          begins, ends = [year, year + 1].map { |from| x(Date.new(from, 1, 1)) }
          (year == first.year ? "" : year_line(begins)) + (ends - begins > 44 ? year_words(year, begins + 4) : "")
        end.join
      end

      def year_words(year, x)
        Svg.text(year, x: x, y: 16, class: "hour")
      end

      def year_line(x)
        Svg.tag(:line, x1: x, y1: HEAD - 4, x2: x, y2: height, class: "year-line")
      end

      def job_lines
        @jobs.map { |date| Svg.tag(:line, x1: x(date), y1: HEAD, x2: x(date), y2: height, class: "job-line") }.join
      end

      def now
        Svg.tag(:line, x1: x(@today), y1: HEAD - 8, x2: x(@today), y2: height, class: "now-line")
      end

      def lane(lane, row)
        top = HEAD + (row * @lane)
        middle = top + @lane - 14
        name = Svg.text(lane.name, x: 4, y: @form[:names].zero? ? top + 14 : middle + 5, class: "gauge-text")
        [name, bars(lane, middle), marks(lane.found, middle, "found-dot"), marks(lane.done, middle, nil),
         due(lane.due, middle)].join
      end

      def bars(lane, middle)
        lane.fitted.map do |from, till|
          left = x(from || first)
          Svg.tag(:rect, x: left + 1, y: middle - (BAR / 2), width: [x(till || @today) - left - 1, 2].max, height: BAR,
            class: from ? "fitted-bar" : "fitted-bar fitted-unknown")
        end.join
      end

      def marks(list, middle, css)
        list.map do |date, words|
          shape = if css
                    Svg.tag(:circle, cx: x(date), cy: middle, r: 4,
                      class: css)
                  else
                    Svg.text(LETTERS.fetch(words.split.first, "·"), x: x(date), y: middle + 5, class: "done-mark",
                      text_anchor: "middle")
                  end
          Svg.tag(:g, Svg.tag(:title, Svg.escape("#{date.iso8601}: #{words}")) + shape)
        end.join
      end

      def due(due, middle)
        return "" unless due&.first

        date, early, late, words = due
        bounds = Svg.tag(:line, x1: x(early || date), y1: middle, x2: x(late || date), y2: middle, class: "due-bounds")
        Svg.tag(:g,
          Svg.tag(:title, Svg.escape("#{date.iso8601}: #{words}")) + bounds +
                  Svg.tag(:rect, x: x(date) - 5, y: middle - 5, width: 10, height: 10,
                    class: date < @today ? "due-box due-box-over" : "due-box"))
      end
    end
  end
end
