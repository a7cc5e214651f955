# frozen_string_literal: true

module UprightBench
  module Services
    # The customer calls a job off after they agreed. What was done is charged; what was not is left. The machine is put
    # together again and closed up as always, or goes back as it is where nothing was done.
    module CallOff
      module_function

      # @param reason [String] as it stands in the history and on the slip
      # @return [Models::Job]
      # @raise [Invalid] without a reason
      # @raise [Refused] before it is agreed, or after it is closed up
      def call(number, reason:, by:, at:)
        raise Invalid, { call_off_reason: ["A reason is needed."] } if reason.to_s.strip.empty?

        DB.transaction do
          job = Lookup.job(number, lock: true)
          raise Refused, "Job #{number} is #{job.state_words}: there is nothing to call off." unless job.agreed?

          job.update(called_off_reason: reason.strip)
          History.note("called off", job, by: by, at: at, job: job, data: { note: reason.strip })
          leave_the_rest(job, by, at)
          done = Models::WorkItem.where(job_id: job.id, state: "done")
          done.empty? ? EndEarly.call(number, how: "declined", by: by, at: at) : job.refresh
        end
      end

      def leave_the_rest(job, by, at)
        Models::WorkItem.where(job_id: job.id, state: "to_do").order(:sequence).all.each do |item|
          ChoosePart.call(job.number, item.id, choice: "leave", by: by, at: at)
        end
        # a wash that leaves its seat to be cleaned is left altogether
        left = Models::WorkItem.where(job_id: job.id, state: "to_do")
        left.update(state: "left", done_by: by.id, done_at: at)
      end
      private_class_method :leave_the_rest
    end
  end
end
