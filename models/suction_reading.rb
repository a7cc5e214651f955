# frozen_string_literal: true

module UprightBench
  module Models
    # What a gauge showed at a point of a machine's air path.
    class SuctionReading < Sequel::Model(:suction_readings)
      dataset_module do
        # Those that say how a machine went home.
        def after_the_work
          worked = WorkItem.where(job_id: Sequel[:suction_readings][:job_id]).select { max(done_at) }
          since = Sequel.function(:coalesce, worked, Sequel[:jobs][:taken_in_at])
          join(:jobs, id: :job_id).exclude(closed_up_at: nil).where(Sequel[:suction_readings][:taken_at] > since)
        end
      end

      # @return [Core::Suction::Reading] in standard air
      def to_core
        suction = Core::Suction
        what = suction::Reading::KINDS.fetch(kind.to_sym)
        suction::Reading.new(point: point, kind: kind.to_sym, error_percent: error_percent, plate_mm: plate_mm,
          exhaust_off: exhaust_off, value: suction::AirDensity.standard(value, what, air_kg_m3))
      end
    end
  end
end
