# frozen_string_literal: true

module UprightBench
  module Services
    # The shop rules as they are stored now. What they are, and their defaults, stand in Core::Policies::Table.
    class Policies < Core::Policies::InForce
      # @return [Policies] as stored now
      def self.now
        new(Models::Policy.select_hash(:key, :value))
      end

      # As a device in the drying room read it in the last day, else as it was typed.
      # @return [Core::Drying::Air, nil]
      def drying_air
        return @drying_air if defined?(@drying_air)

        @drying_air = Models::RoomReading.usual(at: Time.now) || super
      end

      # @return [OpenHours]
      def schedule
        @schedule ||= OpenHours.for(hours: open_hours, closed_days: closed_days, time_zone: Config::Zone.name)
      end
    end
  end
end
