# frozen_string_literal: true

module UprightBench
  module Drawings
    # A machine's air over the years, in shares of a new one: an open ring before the work, a filled one after it.
    class AirLine
      WIDTH = 720
      HEIGHT = 180
      LEFT = 52
      TOP = 16
      FLOOR = 150
      MOST = 1.1
      LEAST_DAYS = 180 # that the line is wide

      # @param visits [Array<#on, #before, #after>] in their order, one at least
      def initialize(visits)
        @visits = visits
        @first = visits.first.on
        @days = [(visits.last.on - @first).to_i, LEAST_DAYS].max
      end

      # @return [String]
      def render
        Svg.image(WIDTH, HEIGHT, [marks, *@visits.map { |visit| visit(visit) }, ends].join, label: words,
          class: "air-line")
      end

      private

      def words
        told = @visits.map do |visit|
          shares = { "before" => visit.before, "after" => visit.after }.compact
          "#{Core::Units::Day.words(visit.on)} #{shares.map { |name, share| "#{percent(share)} #{name}" }.join(', ')}"
        end
        "Air by that of a new machine: #{told.join('; ')}"
      end

      def percent(share)
        "#{(share * 100).round} %"
      end

      def x(date)
        LEFT + 16 + ((WIDTH - LEFT - 40) * (date - @first).to_i / @days.to_f)
      end

      def y(share)
        FLOOR - ((FLOOR - TOP) * [share, MOST].min / MOST)
      end

      def marks
        [0.0, 0.5, 1.0].map do |share|
          Svg.tag(:line, x1: LEFT, y1: y(share), x2: WIDTH - 8, y2: y(share), class: "practice-best") +
            Svg.text(percent(share), x: 2, y: y(share) + 4, class: "hour")
        end.join
      end

      def visit(visit)
        across = x(visit.on)
        rings = { before: "air-before", after: "air-after" }.filter_map do |name, css|
          share = visit.public_send(name)
          Svg.tag(:circle, cx: across, cy: y(share), r: 7, class: css) if share
        end
        [gained(visit, across), *rings].join
      end

      def gained(visit, across)
        return "" unless visit.before && visit.after

        Svg.tag(:line, x1: across, y1: y(visit.before), x2: across, y2: y(visit.after), class: "air-gained")
      end

      def ends
        [@visits.first, @visits.last].uniq.map do |visit|
          Svg.text(Core::Units::Day.words(visit.on), x: [x(visit.on) - 30, LEFT].max, y: FLOOR + 20, class: "hour")
        end.join
      end
    end
  end
end
