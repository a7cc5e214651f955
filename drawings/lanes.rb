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
      MOST_LANE = 130
      WAIT = 20

      # What is drawn.
      # @!attribute lanes [Array] each with name, steps (job, key, from, till) and away (from, till)
      # @!attribute waits [Array] each with job, from, till and words
      # @!attribute promises [Array] each with job, at and danger
      # @!attribute customers [Hash{Integer=>String}] by job
      # @!attribute pinned [Array<Array(Integer, Symbol)>] job and key
      # @!attribute chosen [Array(Integer, Symbol), nil] likewise
      Drawn = Struct.new(:lanes, :waits, :promises, :customers, :pinned, :chosen, keyword_init: true)

      # @param drawn [Drawn]
      # @param scale [DayScale]
      # @param now [Time]
      # @param zone [#call] Time => Time on the shop's clock
      # @param words [#call] step => what it says to whoever cannot see it
      # @param path [#call] step => address
      # @param least_height [Integer] that lanes grow to fill, as far as they may
      def initialize(drawn, scale:, now:, zone:, words:, path:, least_height: 0)
        @drawn = drawn
        @scale = scale
        @now = now
        @zone = zone
        @words = words
        @path = path
        @least_height = least_height
      end

      # @return [String]
      def render
        Svg.image(WIDTH, height, [days, hours, flags, lanes, waits, now_line].join, label: "Plan of the bench",
          role: "group", class: "plan-lanes")
      end

      private

      def height
        lanes_end + (wait_rows.size * WAIT) + 8
      end

      def lanes_begin
        @lanes_begin ||= HEAD + (flag_rows.size * FLAG) + 6
      end

      def lanes_end
        lanes_begin + (@drawn.lanes.size * lane_height) + 6
      end

      def lane_height
        @lane_height ||= begin
          others = lanes_begin + (wait_rows.size * WAIT) + 14
          ((@least_height - others) / [@drawn.lanes.size, 1].max).clamp(LANE, MOST_LANE)
        end
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
          [left, [width, words_from(wait, left, width) + length(wait) + 4].max]
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
        @drawn.lanes.each_with_index.map { |lane, place| lane(lane, lanes_begin + (place * lane_height)) }.join
      end

      def lane(lane, top)
        [line(top + lane_height - 4), name(lane, top),
         *in_sight(lane.away).map { |away| blocks.away(away, top) },
         *in_sight(lane.steps).map { |step| blocks.step(step, top) }].join
      end

      def name(lane, top)
        Svg.text(lane.name, x: LEFT - 8, y: top + (lane_height / 2) + 3, class: "lane-name")
      end

      def line(down)
        Svg.tag(:line, x1: LEFT, y1: down, x2: WIDTH, y2: down, class: "lane-line")
      end

      def blocks
        @blocks ||= LaneBlocks.new(@drawn, scale: @scale, height: lane_height, words: @words, path: @path)
      end

      def in_sight(things)
        things.select { |thing| @scale.shows?(thing.from, thing.till) }
      end

      def waits
        wait_rows.each_with_index.flat_map do |row, place|
          row.map { |wait, left, _| wait(wait, left, lanes_end + (place * WAIT)) }
        end.join
      end

      # In the bar; behind it where that is too short, and the picture is not at its end.
      def words_from(wait, left, width)
        behind = width < length(wait) + 8 && left + width + length(wait) + 8 < WIDTH
        behind ? width + 4 : 4
      end

      def length(wait)
        wait.words.size * LaneBlocks::LETTER
      end

      def wait(wait, left, top)
        _, width = @scale.span(wait.from, wait.till)
        Svg.tag(:rect, x: left, y: top + 3, width: width, height: WAIT - 6, class: "waiting") +
          Svg.text(wait.words, x: left + words_from(wait, left, width), y: top + 14, class: "lane-wait")
      end

      def now_line
        return "" unless @scale.within?(@now)

        left = @scale.x(@now)
        Svg.tag(:line, x1: left, y1: HEAD - 12, x2: left, y2: height, class: "now")
      end
    end
  end
end
