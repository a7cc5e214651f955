# frozen_string_literal: true

module UprightBench
  module Services
    # The machine leaves the shop.
    class HandOver
      # @raise [Refused] before it is closed up, declined or referred
      def self.call(number, by:, at:)
        DB.transaction do
          job = Lookup.job(number, lock: true)
          next job if job.stage == :handed_over
          raise Refused, "Job #{number} is #{job.state.tr('_', ' ')}: close it up first." unless job.may_become?(:handed_over)

          job.update(state: "handed_over", handed_over_at: at)
          History.note("handed over", job, by: by, at: at, job: job)
          job
        end
      end
    end
  end
end
