# frozen_string_literal: true

module UprightBench
  module Services
    # A job that is under way goes on with the newest version of its sheet: asked for by a person, never by itself.
    class AdoptSheet
      # @return [Models::Job]
      # @raise [Refused] when something was recorded at a place that the newest version has not
      def self.call(number, by:, at:)
        DB.transaction do
          job = Lookup.job(number, lock: true)
          OpenToLook.refuse_past(job)
          newest = job.machine.sheet.current_version_id
          next job if newest == job.sheet_version_id

          refuse_lost(job, Models::SheetVersion.parsed(newest))
          job.update(sheet_version_id: newest)
          History.note("went on with the newest sheet", job, by: by, at: at, job: job,
            data: { sheet_version_id: newest })
          job
        end
      end

      def self.refuse_lost(job, sheet)
        refuse_open(job, sheet)
        used = [Models::Finding, Models::Skip, Models::WorkItem, Models::Stop]
          .flat_map { |model| model.where(job_id: job.id).select_map(:position) }
        lost = used.compact.uniq.reject { |key| sheet.position?(key) }
        return if lost.empty?

        names = lost.map { |key| job.sheet.position(key).name.downcase }.join(", ")
        raise Refused, "The newest sheet has no #{names}, where this job recorded something. It keeps its version."
      end

      # What is open is closed as it was opened.
      def self.refuse_open(job, sheet)
        lost = TrayOfJob.open_steps(job).reject { |key| sheet.step?(key) }
        return if lost.empty?

        names = lost.map { |key| job.sheet.step(key).name.downcase }.join(", ")
        raise Refused, "The newest sheet has no such step as is open here: #{names}. It keeps its version."
      end
      private_class_method :refuse_lost, :refuse_open
    end
  end
end
