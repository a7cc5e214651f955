# frozen_string_literal: true

module UprightBench
  module Services
    # Tells a customer once more that their machine is ready.
    module TellAgain
      module_function

      # @return [Models::Notice]
      # @raise [Refused] while it is not
      def call(number, by:, at:)
        DB.transaction do
          job = Lookup.job(number, lock: true)
          raise Refused, "Job #{number} is #{job.state_words}: there is nothing to fetch." unless job.to_collect?

          History.note("told that it is ready", job, by: by, at: at, job: job)
          told = Models::Notice.standing.where(job_id: job.id, state: %w[handed_over called]).any?
          Tell.call(job, told ? :fetch : :ready, by: by, at: at)
        end
      end
    end
  end
end
