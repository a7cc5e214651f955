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

          fields = later(job, at)
          note(job, fields[:promise_at], by, at)
          job.update(fields)
          Tell.call(job, :late, by: by, at: at, time: fields[:promise_at])
        end
      end

      # @return [Hash] the promise that is given instead
      def later(job, at)
        fields = Promises.give_later(job, at: at) if MakePlan.in_danger?(job, at: at)
        return fields if fields && fields[:promise_at] - job.promise_at > LEAST_SECONDS

        raise Refused, "It will be ready in time."
      end

      def note(job, till, by, at)
        History.note("promised later", job, by: by, at: at, job: job,
          data: { from: job.promise_at.iso8601, till: till.iso8601 })
      end
      private_class_method :later, :note
    end
  end
end
