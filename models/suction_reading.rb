# frozen_string_literal: true

module UprightBench
  module Models
    # What a gauge showed at a point of a machine's air path.
    class SuctionReading < Sequel::Model(:suction_readings)
      # @return [Core::Suction::Reading]
      def to_core
        Core::Suction::Reading.new(point: point, kind: kind.to_sym, value: value, error_percent: error_percent,
          plate_mm: plate_mm)
      end
    end
  end
end
