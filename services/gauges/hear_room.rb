# frozen_string_literal: true

module UprightBench
  module Services
    # Keeps what a device says of the drying room's air: every few minutes, and when it changed.
    module HearRoom
      EVERY_SECONDS = 300
      CHANGED = { temperature_c: 1.0, humidity_percent: 3.0 }.freeze

      KEPT_DAYS = 400 # a year, and the same weeks of the one before

      module_function

      def forget_old(at:)
        Models::RoomReading.where(Sequel[:read_at] < at - (KEPT_DAYS * 86_400)).delete
      end

      # @param gauge [Models::Gauge]
      # @param air [Core::Drying::Air]
      # @return [Models::RoomReading, nil] nil when nothing had to be kept
      def call(gauge, air, at:)
        last = Models::RoomReading.where(gauge_id: gauge.id).reverse(:read_at).first
        return unless last.nil? || news?(last, air, at)

        reading = Models::RoomReading.create(gauge_id: gauge.id, read_at: at, temperature_c: air.temperature_c,
          humidity_percent: air.humidity_percent)
        FollowRoom.call(at: at)
        reading
      end

      def news?(last, air, at)
        at - last.read_at >= EVERY_SECONDS ||
          (at > last.read_at && CHANGED.any? { |name, by| (air.public_send(name) - last[name]).abs >= by })
      end
      private_class_method :news?
    end
  end
end
