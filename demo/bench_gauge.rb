# frozen_string_literal: true

require_relative "../gauge/room"

module UprightBench
  module Demo
    # The devices that ship: a gauge, held to whatever machine is looked at, a thermometer of the drying room with what
    # it read of late, and a scale. Their readers find the tokens beside the data.
    module BenchGauge
      FIELDS = {
        "gauge" => { kind: "suction", name: "Bench gauge", pattern: "{value} {unit}", unit: nil, error_percent: 2.0 },
        "room" => { kind: "room", name: "Drying room", pattern: "T {temperature} H {humidity}", unit: nil,
                    error_percent: 2.0 },
        "scale" => { kind: "scale", name: "Letter scale", pattern: "{value} {unit}", unit: nil, error_percent: 0.5 }
      }.freeze
      HOURS = (4..72) # that the thermometer looks back; what it reads just now, it says itself
      EVERY_SECONDS = 900

      module_function

      # @param by [Models::Person]
      # @param at [Time]
      def add(by, at)
        SETTINGS.state_dir.mkpath
        gauges = FIELDS.to_h do |name, fields|
          gauge, token = Services::KeepGauge.add(fields, by: by, at: at)
          SETTINGS.state_dir.join("#{name}.token").write(token, perm: 0o600)
          [name, gauge]
        end
        look_back(gauges.fetch("room"))
      end

      def look_back(gauge)
        room = Gauge::Room.new
        ago = (HOURS.min * 3600)..(HOURS.max * 3600)
        rows = ago.step(EVERY_SECONDS).map do |seconds|
          time = Time.now - seconds
          [gauge.id, time, *room.at(time).map { |value| value.round(1) }]
        end
        Models::RoomReading.import(%i[gauge_id read_at temperature_c humidity_percent], rows)
      end
      private_class_method :look_back
    end
  end
end
