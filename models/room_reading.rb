# frozen_string_literal: true

module UprightBench
  module Models
    # The air of the drying room at a moment, as a device read it.
    class RoomReading < Sequel::Model(:room_readings)
      FRESH_SECONDS = 3 * 3600 # after that nobody knows what the air is (house rule)

      # What is washed lies there by day and by night.
      # @param at [Time]
      # @return [Core::Drying::Air, nil] on the whole, in the day before; nil where nobody knows what it is now
      def self.usual(at:)
        last, temperature, humidity = where(read_at: (at - 86_400)..(at + 60))
          .get([Sequel.function(:max, :read_at).as(:last), *MEANS])
        return if last.nil? || last < at - FRESH_SECONDS

        Core::Drying::Air.new(temperature_c: temperature.round(1), humidity_percent: humidity.round(1))
      end

      MEANS = %i[temperature_c humidity_percent].map { |name| Sequel.function(:avg, name).as(name) }.freeze
      private_constant :MEANS

      # @return [Core::Drying::Air]
      def air
        Core::Drying::Air.new(temperature_c: temperature_c, humidity_percent: humidity_percent)
      end
    end
  end
end
