# frozen_string_literal: true

module UprightBench
  module Services
    # Tells a customer, before a promise breaks, that it will be later; from then on the new time is promised. Somebody
    # presses: it is never sent by itself.
    module TellLate
      LEAST_SECONDS = 300 # nobody is told of less

      module_function

      # @return [Models::Notice]
      # @raise [Refused] when nothing is promised, or it will not be later
      def call(number, by:, at:)
        DB.transaction do
          job = Lookup.job(number, lock: true)
          raise Refused, "Job #{number} has no promise that could be late." unless job.agreed? && job.promise_at

          fields = Promises.fields(job, at: at)
          raise Refused, "It will be ready in time." unless fields[:promise_at] - job.promise_at > LEAST_SECONDS

          History.note("promised later", job, by: by, at: at, job: job,
            data: { from: job.promise_at.iso8601, till: fields[:promise_at].iso8601 })
          job.update(fields)
          Tell.call(job, :late, by: by, at: at, time: fields[:promise_at])
        end
      end
    end
  end
end
