# frozen_string_literal: true

module UprightBench
  module Core
    module Gauges
      # How a thermometer and hygrometer writes its lines, as a Pattern.
      #
      #   RoomLine.new(pattern: "T {temperature} H {humidity}").read("T 21.3 H 52")  # => Drying::Air
      class RoomLine
        include Value

        PARTS = { "temperature" => "(?<temperature>#{Pattern::NUMBER})", "humidity" => "(?<humidity>#{Pattern::NUMBER})" }
          .freeze
        UNITS = %w[c f].freeze # degrees

        # @!attribute pattern [String]
        # @!attribute unit [String, nil] of the temperature, one of UNITS; degrees Celsius when nil
        fields :pattern, unit: nil

        # @param line [String]
        # @return [Drying::Air, nil] nil for what cannot be read so, or no room has
        def read(line)
          found = @read.match(line) or return
          temperature, humidity = %i[temperature humidity].map { |part| Pattern.number(found[part]) }
          temperature = (temperature - 32) / 1.8 if unit.to_s.downcase == "f"
          return unless Drying::Air::TEMPERATURES_C.cover?(temperature) && (0..100).cover?(humidity)

          Drying::Air.new(temperature_c: temperature.round(1), humidity_percent: humidity.round(1))
        end

        private

        def check
          @read = Pattern.new(pattern, PARTS)
          once = PARTS.keys.all? { |part| @read.count(part) == 1 }
          hold(once, "a pattern has {temperature} and {humidity} once each")
          hold(@read.count("any") <= Pattern::MOST_ANY, "{any} stands #{Pattern::MOST_ANY} times at most")
          hold(unit.nil? || UNITS.include?(unit.downcase), "degrees are C or F")
        end

        def hold(kept, rule)
          raise ArgumentError, rule unless kept
        end
      end
    end
  end
end
