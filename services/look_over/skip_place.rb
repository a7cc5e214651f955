# frozen_string_literal: true

module UprightBench
  module Services
    # Leaves a place out of the look-over, with the reason; an empty reason takes the skip back.
    class SkipPlace
      # What is mostly said; anything else may be written.
      REASONS = [Models::Skip::NOT_FITTED, "cannot be reached", "customer does not want it opened", "later"].freeze

      # @return [Models::Skip, nil]
      # @raise [NotFound, Refused] also when something was found there already
      def self.call(number, position, reason:, by:, at:)
        DB.transaction do
          job = Lookup.job(number, lock: true)
          OpenToLook.check(job, position)
          unless Models::Finding.where(job_id: job.id, position: position).empty?
            raise Refused, "Something was found there already: clear that first."
          end

          Models::Skip.where(job_id: job.id, position: position).delete
          History.note(reason.empty? ? "took skip back" : "skipped", job, by: by, at: at, job: job,
            data: { position: position, reason: reason })
          next if reason.empty?

          Models::Skip.create(job_id: job.id, position: position, reason: reason, skipped_by: by.id, skipped_at: at)
        end
      end
    end
  end
end
