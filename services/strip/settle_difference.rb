# frozen_string_literal: true

module UprightBench
  module Services
    # What did not come out even is found, or explained by whoever answers for it.
    class SettleDifference
      # @param explanation [String] empty when it was found
      # @return [Models::TrayDifference]
      # @raise [NotFound] when the job has no such difference
      # @raise [Refused] when the job is closed up
      def self.call(number, id, by:, at:, found: false, explanation: "")
        said = explanation.to_s.strip[0, 300]
        raise Invalid, { explanation: ["Write why, or say that it was found."] } if said.empty? && !found

        DB.transaction do
          job = Lookup.job(number, lock: true)
          difference = Models::TrayDifference.first(id: id, job_id: job.id) or
            raise NotFound, "Job #{number} has no such difference."
          next difference if difference.settled_at

          raise Refused, "Job #{number} is closed up: nothing is changed any more." unless job.recordable?

          settle(job, difference, found ? nil : said, by, at)
        end
      end

      def self.settle(job, difference, explanation, by, at)
        difference.update(settled_at: at, settled_by: by.id, explanation: explanation)
        History.note(explanation ? "explained" : "found again", difference, by: by, at: at, job: job,
          data: { words: difference.words, note: explanation }.compact)
        difference
      end
      private_class_method :settle
    end
  end
end
