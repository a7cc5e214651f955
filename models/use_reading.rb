# frozen_string_literal: true

module UprightBench
  module Models
    # A reading about how much a machine runs.
    class UseReading < Sequel::Model(:use_readings)
      # @return [Core::Use::Evidence]
      def to_core
        Core::Use::Evidence.new(kind: kind.to_sym, hours: hours.to_f, weeks: weeks.to_f, read_on: read_on)
      end
    end
  end
end
