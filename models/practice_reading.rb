# frozen_string_literal: true

module UprightBench
  module Models
    # What a gauge showed in a round of practice.
    class PracticeReading < Sequel::Model(:practice_readings)
      # @return [Core::Suction::Reading]
      def to_core
        Core::Suction::Reading.new(point: point, kind: kind.to_sym, value: value, exhaust_off: exhaust_off)
      end
    end
  end
end
