# frozen_string_literal: true

module UprightBench
  module Services
    # Says where a gauge is held. It is no record: it is forgotten within seconds.
    module HoldGauge
      module_function

      # @param gauge [Models::Gauge]
      # @param job [Models::Job]
      # @param point [String] key of a station
      # @param kind [String] of Core::Suction::Reading::KINDS
      def call(gauge, job, point:, kind:, at:, plate_mm: nil, exhaust_off: false)
        kinds = Core::Suction::Reading::KINDS.keys.map(&:to_s)
        known = job.sheet.stations.any? { |station| station.key == point } && kinds.include?(kind)
        return unless known

        Models::GaugeStream.where(gauge_id: gauge.id).update(held_at: at, held_job_id: job.id, held_point: point,
          held_kind: kind, held_plate_mm: plate_mm, held_exhaust_off: exhaust_off)
      end
    end
  end
end
