# frozen_string_literal: true

module UprightBench
  module Services
    # The tools that a machine was opened with are counted back on their hooks. Done twice is done once.
    class ToolsBack
      # @param missing [String] which one is not there; empty when all are
      # @return [Models::Job]
      # @raise [Refused] while something is open
      def self.call(number, by:, at:, missing: "")
        DB.transaction do
          job = Lookup.job(number, lock: true)
          next job if job.tools_back_at
          raise Refused, "Close what is open first." if TrayOfJob.open_steps(job).any?

          note_missing(job, missing.to_s.strip[0, 300], by, at)
          job.update(tools_back_at: at, tools_back_by: by.id)
          History.note("counted the tools", job, by: by, at: at, job: job)
          job
        end
      end

      def self.note_missing(job, words, by, at)
        return if words.empty?

        Models::TrayDifference.create(job_id: job.id, words: words, expected: 1, counted: 0, noted_at: at,
          noted_by: by.id)
      end
      private_class_method :note_missing
    end
  end
end
