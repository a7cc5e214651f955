# frozen_string_literal: true

module UprightBench
  module Drawings
    # The working day as one ruler: open hours, a line at now, and for each job its hands-on stretches solid, its
    # waits hatched, its promise as a flag. Every row is drawn to the same scale.
    class BenchRuler
      WIDTH = 420
      ROW = 40
      HEAD = 30

      # @param open [Array<Array(Time, Time)>] the day's open stretches
      # @param now [Time]
      # @param zone [#call] Time => Time on the shop's clock
      def initialize(open:, now:, zone:)
        @open = open
        @now = now
        @zone = zone
        @from = open.first.first
        @to = open.last.last
      end

      # @return [String] the hours
      def head
        marks = hours.map do |time|
          Svg.tag(:line, x1: x(time), y1: 20, x2: x(time), y2: HEAD, class: "tick") +
            Svg.text(Core::Units::Writing.now.hour(@zone.call(time)), x: x(time) + 3, y: 16, class: "hour")
        end
        Svg.image(WIDTH, HEAD, marks.join + now_line(HEAD), label: "Open hours of the day", class: "ruler ruler-head")
      end

      # @param row [Core::Bench::Row]
      def row(row)
        parts = closed + row.stretches.map { |stretch| bar(stretch) }.join + now_line(ROW) + flag(row)
        Svg.image(WIDTH, ROW, parts, label: words(row), class: "ruler#{' ruler-late' if row.late_minutes.positive?}")
      end

      private

      def words(row)
        ready = row.ready_at ? "ready #{of_week(row.ready_at)}" : "nobody can work on it now"
        promise = row.promise_at ? "promised #{of_week(row.promise_at)}" : "no promise yet"
        ["Job #{row.number}: #{ready}", promise, *row.lateness(@now)].join(", ")
      end

      def of_week(time)
        Core::Units::Moment.of_week(@zone.call(time))
      end

      def x(time)
        (((time - @from) / (@to - @from)) * WIDTH).clamp(0, WIDTH).round(1)
      end

      def hours
        first = @from + ((3600 - (@from.to_i % 3600)) % 3600)
        (0..((@to - first) / 3600).floor).map { |n| first + (n * 3600) }
      end

      def closed
        @open.each_cons(2).map do |before, after|
          Svg.tag(:rect, x: x(before.last), y: 0, width: x(after.first) - x(before.last), height: ROW, class: "closed")
        end.join
      end

      def bar(stretch)
        from = x(stretch.from)
        width = x(stretch.to) - from
        return "" if width <= 0

        hands_on = stretch.kind == :hands_on
        Svg.tag(:rect, x: from, y: hands_on ? 9 : 14, width: width, height: hands_on ? 22 : 12,
          class: hands_on ? "hands-on" : "waiting") +
          (hands_on ? "" : hatch(from, from + width))
      end

      # All strokes are one path: a long wait has forty of them.
      def hatch(from, to)
        strokes = from.step(to - 6, 10).map { |left| "M#{left.round(1)} 26l6-12" }
        strokes.empty? ? "" : Svg.tag(:path, d: strokes.join, class: "hatch")
      end

      def now_line(height)
        return "" unless @now.between?(@from, @to)

        Svg.tag(:line, x1: x(@now), y1: 0, x2: x(@now), y2: height, class: "now")
      end

      # A promise on another day stands at the end it lies beyond.
      def flag(row)
        return "" unless row.promise_at

        left = [x(row.promise_at), WIDTH - 1].min
        point = left > WIDTH - 16 ? left - 14 : left + 14
        Svg.tag(:path, d: "M#{left} 36V4L#{point} 9L#{left} 14", class: "flag")
      end
    end
  end
end
