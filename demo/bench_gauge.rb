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
      HOURS = 72 # that the thermometer looks back
      LOADED_HOURS = 4 # of them, in which the demo's last jobs come in: nobody knew the room's air then
      EVERY_SECONDS = 900

      module_function

      # @param by [Models::Person]
      # @param at [Time] when they were bought
      # @param now [Time] until shortly before which the thermometer has read
      def add(by, at, now)
        SETTINGS.state_dir.mkpath
        gauges = FIELDS.to_h do |name, fields|
          gauge, token = Services::KeepGauge.add(fields, by: by, at: at)
          SETTINGS.state_dir.join("#{name}.token").write(token, perm: 0o600)
          [name, gauge]
        end
        look_back(gauges.fetch("room"), LOADED_HOURS..HOURS, now)
      end

      # Once all is loaded: until now, from when on it says itself what it reads.
      def read_until_now
        look_back(Models::Gauge.first(kind: FIELDS.dig("room", :kind)), 0...LOADED_HOURS, Time.now)
      end

      def look_back(gauge, hours, now)
        room = Gauge::Room.new
        ago = Range.new(hours.begin * 3600, hours.end * 3600, hours.exclude_end?)
        rows = ago.step(EVERY_SECONDS).map do |seconds|
          time = now - seconds
          [gauge.id, time, *room.at(time).map { |value| value.round(1) }]
        end
        Models::RoomReading.import(%i[gauge_id read_at temperature_c humidity_percent], rows)
      end
      private_class_method :look_back
    end
  end
end
