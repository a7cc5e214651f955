# frozen_string_literal: true

module UprightBench
  module Drawings
    # Suction along the air path, from the room to the fan: a step for what each station takes, as it is in order and as
    # the readings say. The station that takes too much is marked by a sign and an outline, not by color alone.
    class SuctionProfile
      WIDTH = 720
      HEIGHT = 200
      FLOOR = 168 # y of no suction
      TOP = 16
      LEFT = 44

      # @param expected [Core::Suction::Machine] in order
      # @param found [Core::Suction::Machine] as the readings say
      # @param names [Hash{String=>String}] of the stations
      # @param marked [Array<String>] the stations that take too much, or leak
      def initialize(expected:, found:, names:, marked: [])
        @expected = expected.profile
        @found = found.profile
        @names = names
        @marked = marked
      end

      # @return [String]
      def render
        Svg.image(WIDTH, HEIGHT, [axis, steps(@expected, "profile-expected"), steps(@found, "profile-found"), *marks,
                                  *labels].join, label: words, class: "suction-profile")
      end

      private

      def words
        ends = [@expected, @found].map { |profile| Core::Gauges::Quantities::Pressure.words(profile.last.last) }
        marked = ". Marked: #{@marked.map { |key| @names.fetch(key, key) }.join(', ')}" if @marked.any?
        "Suction from the floor to the fan: #{ends[1]} at the fan, #{ends[0]} in order#{marked}"
      end

      def most
        @most ||= [*@expected, *@found].map(&:last).max * 1.1
      end

      def y(suction)
        FLOOR - ((FLOOR - TOP) * suction / most)
      end

      def width
        @width ||= (WIDTH - LEFT - 8) / @found.size.to_f
      end

      def x(index)
        LEFT + (width * index)
      end

      def steps(profile, css)
        points = profile.each_with_index.flat_map do |(_, suction), index|
          [[x(index), suction], [x(index + 1), suction]]
        end
        path = points.map { |across, suction| "#{across.round(1)},#{y(suction).round(1)}" }
        Svg.tag(:polyline, points: [[x(0), FLOOR].join(","), *path].join(" "), class: css)
      end

      def marks
        @found.each_index.select { |index| @marked.include?(@found[index].first) }.map { |index| mark(index) }
      end

      def mark(index)
        top = y(@found[index].last)
        Svg.tag(:rect, x: x(index), y: top, width: width, height: FLOOR - top, class: "profile-marked") +
          Svg.text("!", x: x(index) + (width / 2), y: [top - 4, TOP].max, class: "profile-sign")
      end

      def axis
        ticks = [0, most / 1.1].map do |suction|
          Svg.text(Core::Units::Figure.words(suction.round(1)), x: 4, y: y(suction) + 5, class: "hour")
        end
        Svg.tag(:line, x1: LEFT, y1: FLOOR, x2: WIDTH - 8, y2: FLOOR, class: "tick") + ticks.join +
          Svg.text("kPa", x: 4, y: FLOOR + 20, class: "hour")
      end

      def labels
        @found.each_with_index.map do |(key, _), index|
          Svg.text(@names.fetch(key, key), x: x(index) + (width / 2), y: FLOOR + 18, class: "profile-name")
        end
      end
    end
  end
end
