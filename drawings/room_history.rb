# frozen_string_literal: true

module UprightBench
  module Drawings
    # The air of the drying room over the last days: humidity as a filled band, temperature as a line, nights in grey.
    class RoomHistory
      WIDTH = 640
      HEIGHT = 150
      LEFT = 52
      TOP = 12
      BOTTOM = 126
      TEMPERATURES = (0..40)

      # @param readings [Array<Array(Time, Core::Drying::Air)>] in order
      # @param from [Time]
      # @param till [Time]
      # @param days [Array<Array(Time, String)>] midnights, and what the day after each is called
      def initialize(readings, from:, till:, days:)
        @readings = readings
        @from = from
        @till = till
        @days = days
      end

      # @return [String]
      def render
        Svg.image(WIDTH, HEIGHT, [damp, band, line, axis, names].join, label: label, class: "room-history")
      end

      private

      def label
        temperatures, humidities = %i[temperature_c humidity_percent].map do |name|
          @readings.map { |_, air| air.public_send(name).round }.minmax
        end
        "Drying room: #{temperatures.join(' to ')} °C, #{humidities.join(' to ')} % humidity"
      end

      def x(time)
        (LEFT + ((time - @from) / (@till - @from) * (WIDTH - LEFT - 4)).clamp(0, WIDTH - LEFT - 4)).round(1)
      end

      def percent(value)
        (BOTTOM - (value / 100.0 * (BOTTOM - TOP))).round(1)
      end

      def degrees(value)
        share = (value - TEMPERATURES.min).fdiv(TEMPERATURES.max - TEMPERATURES.min).clamp(0, 1)
        (BOTTOM - (share * (BOTTOM - TOP))).round(1)
      end

      # Where nothing dries.
      def damp
        top = percent(100)
        Svg.tag(:rect, x: LEFT, y: top, width: WIDTH - LEFT - 4,
          height: percent(Core::Drying::DryingTime::WILL_NOT_DRY_PERCENT) - top, class: "room-damp")
      end

      def band
        points = @readings.map { |time, air| "#{x(time)} #{percent(air.humidity_percent)}" }
        Svg.tag(:path, class: "room-humidity",
          d: "M#{x(@readings.first.first)} #{BOTTOM}L#{points.join('L')}L#{x(@readings.last.first)} #{BOTTOM}Z")
      end

      def line
        points = @readings.map { |time, air| "#{x(time)} #{degrees(air.temperature_c)}" }
        Svg.tag(:path, d: "M#{points.join('L')}", class: "room-temperature")
      end

      def axis
        [0, 50, 100].map do |value|
          Svg.tag(:line, x1: LEFT, y1: percent(value), x2: WIDTH - 4, y2: percent(value), class: "tick") +
            Svg.text("#{value} %", x: LEFT - 4, y: percent(value) + 4, text_anchor: "end", class: "hour")
        end.join
      end

      def names
        @days.map do |midnight, name|
          late = x(midnight) > WIDTH - 90
          Svg.tag(:line, x1: x(midnight), y1: TOP, x2: x(midnight), y2: BOTTOM, class: "tick") +
            Svg.text(name, x: x(midnight) + (late ? -4 : 4), y: HEIGHT - 8, class: "hour",
              text_anchor: late ? "end" : "start")
        end.join
      end
    end
  end
end
