# frozen_string_literal: true

module UprightBench
  module Models
    # The air of the drying room at a moment, as a device read it.
    class RoomReading < Sequel::Model(:room_readings)
      FRESH_SECONDS = 3 * 3600 # after that nobody knows what the air is (house rule)

      # @param at [Time]
      # @return [RoomReading, nil] the last one, unless that is too long ago
      def self.fresh(at:)
        where(read_at: (at - FRESH_SECONDS)..(at + 60)).reverse(:read_at).first
      end

      # What is washed lies there by day and by night.
      # @param at [Time]
      # @return [Core::Drying::Air, nil] on the whole, in the day before; nil where nobody knows what it is now
      def self.usual(at:)
        return unless fresh(at: at)

        day = where(read_at: (at - 86_400)..(at + 60))
        Core::Drying::Air.new(temperature_c: day.avg(:temperature_c).round(1),
          humidity_percent: day.avg(:humidity_percent).round(1))
      end

      # @return [Core::Drying::Air]
      def air
        Core::Drying::Air.new(temperature_c: temperature_c, humidity_percent: humidity_percent)
      end
    end
  end
end
