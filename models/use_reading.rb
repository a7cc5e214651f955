# frozen_string_literal: true

module UprightBench
  module Models
    # A reading about how much a machine runs.
    class UseReading < Sequel::Model(:use_readings)
      dataset_module do
        # What is only reckoned with needs no decimals.
        def as_floats
          select(:machine_id, :kind, :position, :at_least, :read_on,
            *%i[hours weeks].map { |name| Sequel.cast(name, :float).as(name) })
        end
      end

      # @return [Core::Use::Evidence]
      def to_core
        Core::Use::Evidence.new(kind: kind.to_sym, hours: hours.to_f, weeks: weeks.to_f, read_on: read_on,
          source: position, at_least: at_least)
      end
    end
  end
end
