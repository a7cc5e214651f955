# frozen_string_literal: true

module UprightBench
  module Models
    # What the next person should know: of a machine, one of its places, or a job.
    class Note < Sequel::Model(:notes)
      many_to_one :machine
      many_to_one :job
      one_to_many :pictures, order: :id
      many_to_one :writer, class: "UprightBench::Models::Person", key: :written_by

      dataset_module do
        where :standing, ended_at: nil

        # All that somebody should know who has a machine before them.
        def about(machine, job: nil)
          of = [{ machine_id: machine.id }, ({ job_id: job.id } if job)].compact
          standing.where(Sequel.|(*of)).eager(:writer, :pictures).order(:id)
        end
      end
    end
  end
end
