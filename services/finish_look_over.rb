# frozen_string_literal: true

module UprightBench
  module Services
    # Ends the look-over: the work list is made and a first promise computed.
    class FinishLookOver
      # @raise [Refused] when nothing was looked at yet, or the job is past this point
      def self.call(number, by:, at:)
        DB.transaction do
          job = Lookup.job(number, lock: true)
          next job if job.stage == :looked_over
          raise Refused, "Job #{number} is #{job.state.tr('_', ' ')} already." unless job.may_become?(:looked_over)
          raise Refused, "Nothing has been looked at yet: walk the air path first." if Models::Finding.where(job_id: job.id).empty?

          PlanWork.call(job, by: by)
          job.update(state: "looked_over", **Promises.fields(job, at: at))
          History.note("looked over", job, by: by, at: at, job: job)
          job
        end
      end
    end
  end
end
