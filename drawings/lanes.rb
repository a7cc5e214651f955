# frozen_string_literal: true

module UprightBench
  module Drawings
    # The plan of the bench: a lane for each person, with what they do of which job; under them what waits, over them
    # the promises as flags, and now as a line. The hours are those of the bench's ruler.
    class Lanes
      WIDTH = 1200
      LEFT = 104 # of it, for the names
      HEAD = 44
      FLAG = 22
      LANE = 56
      WAIT = 20
      NUMBER = 36 # what a job's number takes, written along
      LEAST = 9 # and across

      # What is drawn.
      # @!attribute lanes [Array] each with name, steps (job, key, from, till) and away (from, till)
      # @!attribute waits [Array] each with job, from, till and words
      # @!attribute promises [Array] each with job, at and danger
      # @!attribute pinned [Array<Array(Integer, Symbol)>] job and key
      # @!attribute chosen [Array(Integer, Symbol), nil] likewise
      Drawn = Struct.new(:lanes, :waits, :promises, :pinned, :chosen, keyword_init: true)

      # @param drawn [Drawn]
      # @param scale [DayScale]
      # @param now [Time]
      # @param zone [#call] Time => Time on the shop's clock
      # @param words [#call] step => what it says to whoever cannot see it
      # @param path [#call] step => address
      def initialize(drawn, scale:, now:, zone:, words:, path:)
        @drawn = drawn
        @scale = scale
        @now = now
        @zone = zone
        @words = words
        @path = path
      end

      # @return [String]
      def render
        Svg.image(WIDTH, height, [days, hours, flags, lanes, waits, now_line].join, label: "Plan of the bench",
          role: "group", class: "lanes")
      end

      private

      def height
        lanes_end + (wait_rows.size * WAIT) + 8
      end

      def lanes_begin
        @lanes_begin ||= HEAD + (flag_rows.size * FLAG) + 6
      end

      def lanes_end
        lanes_begin + (@drawn.lanes.size * LANE) + 6
      end

      def days
        boxes = @scale.edges.map { |left, right| column(left, right - left, "lane-day") }
        names = @scale.days.map { |stretches| day_name(stretches.first.first) }
        (boxes + names + @scale.breaks.map { |left, width| column(left, width, "closed") }).join
      end

      def day_name(time)
        Svg.text(Core::Units::Writing.now.day(@zone.call(time).to_date, :long), x: @scale.x(time) + 2, y: 14,
          class: "lane-dayname")
      end

      # From the hours to the end.
      def column(left, width, css)
        Svg.tag(:rect, x: left, y: HEAD - 12, width: width.round(1), height: height - HEAD + 12, class: css)
      end

      def hours
        @scale.hours.map do |time|
          left = @scale.x(time)
          Svg.tag(:line, x1: left, y1: HEAD - 12, x2: left, y2: height, class: "lane-hour") +
            Svg.text(Core::Units::Writing.now.hour(@zone.call(time)), x: left + 3, y: HEAD - 3, class: "hour")
        end.join
      end

      # Beside each other where there is room, else below.
      def flag_rows
        @flag_rows ||= rows(@drawn.promises.sort_by(&:at)) { |promise| [@scale.x(promise.at), 62] }
      end

      def wait_rows
        @wait_rows ||= rows(in_sight(@drawn.waits)) do |wait|
          left, width = @scale.span(wait.from, wait.till)
          [left, [width, 8 + (wait.words.size * 7.2)].max]
        end
      end

      def rows(things)
        things.each_with_object([]) do |thing, rows|
          left, width = yield thing
          row = rows.find { |taken| taken.none? { |_, from, till| left < till && left + width > from } }
          rows << (row = []) unless row
          row << [thing, left, left + width]
        end
      end

      def flags
        flag_rows.each_with_index.flat_map do |row, place|
          row.map { |promise, left, _| flag(promise, left, HEAD + 4 + (place * FLAG)) }
        end.join
      end

      def flag(promise, left, top)
        back = left > WIDTH - 60
        point = back ? left - 12 : left + 12
        css = "lane-flag#{' lane-flag-danger' if promise.danger}"
        Svg.tag(:path, d: "M#{left} #{top + FLAG - 2}V#{top}L#{point} #{top + 5}L#{left} #{top + 10}", class: css) +
          Svg.text("#{promise.job}#{'!' if promise.danger}", x: back ? left - 16 : left + 15, y: top + 13,
            text_anchor: back ? "end" : "start", class: "lane-promise#{' lane-promise-danger' if promise.danger}")
      end

      def lanes
        @drawn.lanes.each_with_index.map { |lane, place| lane(lane, lanes_begin + (place * LANE)) }.join
      end

      def lane(lane, top)
        below = top + LANE - 4
        [Svg.tag(:line, x1: LEFT, y1: below, x2: WIDTH, y2: below, class: "lane-line"),
         Svg.text(lane.name, x: LEFT - 8, y: top + 31, class: "lane-name"),
         *in_sight(lane.away).map { |away| gone(away, top) },
         *in_sight(lane.steps).map { |step| block(step, top) }].join
      end

      def in_sight(things)
        things.select { |thing| @scale.shows?(thing.from, thing.till) }
      end

      def gone(away, top)
        left, width = @scale.span(away.from, away.till)
        Svg.tag(:rect, x: left, y: top + 3, width: width, height: LANE - 12, class: "lane-away") +
          (width > 40 ? Svg.text("away", x: left + 6, y: top + 29, class: "lane-away-word") : "")
      end

      def block(step, top)
        left, width = @scale.span(step.from, step.till)
        width = [width - 1, 4].max
        path = @path.call(step)
        Svg.tag(:a, inside(step, left, width, top), href: path, aria_label: @words.call(step), class: css(step),
          hx_get: path, hx_target: "#step", hx_select: "#step", hx_swap: "outerHTML", hx_push_url: "true")
      end

      def inside(step, left, width, top)
        box = Svg.tag(:rect, x: left, y: top + 3, width: width, height: LANE - 12, rx: 2)
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
        middle = (left + (width / 2)).round(1)
        return Svg.text(step.job, x: middle, y: top + 30, class: "lane-number") if width >= NUMBER
        return "" if width < LEAST

        Svg.text(step.job, x: middle, y: top + 25, transform: "rotate(-90 #{middle} #{top + 25}) translate(0 4)",
          class: "lane-number lane-across")
      end

      def waits
        wait_rows.each_with_index.flat_map do |row, place|
          row.map { |wait, left, _| wait(wait, left, lanes_end + (place * WAIT)) }
        end.join
      end

      def wait(wait, left, top)
        _, width = @scale.span(wait.from, wait.till)
        Svg.tag(:rect, x: left, y: top + 3, width: width, height: WAIT - 6, class: "waiting") +
          Svg.text(wait.words, x: left + 4, y: top + 14, class: "lane-wait")
      end

      def now_line
        return "" unless @scale.within?(@now)

        left = @scale.x(@now)
        Svg.tag(:line, x1: left, y1: HEAD - 12, x2: left, y2: height, class: "now")
      end
    end
  end
end
