# frozen_string_literal: true

module UprightBench
  module Services
    # A job in work waits when all that is left is drying, and goes on when there is something to do. It does not wait
    # for a spare that is dried for the next time.
    class MoveOn
      # @param job [Models::Job] locked by the caller
      def self.call(job)
        to_do = !Models::WorkItem.where(job_id: job.id, state: "to_do").empty?
        drying = !Models::RackStay.where(off_at: nil, work_item_id: Models::WorkItem.where(job_id: job.id,
          rotates: false).select(:id)).empty?
        state = drying && !to_do ? "waiting" : "in_work"
        job.update(state: state) unless job.state == state
      end
    end
  end
end
