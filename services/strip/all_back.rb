# frozen_string_literal: true

module UprightBench
  module Services
    # Nothing is left over, nothing left out: what must hold of the tray before a machine leaves the bench.
    module AllBack
      module_function

      # @param job [Models::Job]
      # @return [Array<String>] what stands against it, a sentence each
      def problems(job)
        [still_open(job), *differences(job), tools(job)].compact
      end

      # @raise [Refused]
      def check(job)
        found = problems(job)
        raise Refused, found.join(" ") if found.any?
      end

      def still_open(job)
        names = TrayOfJob.open_steps(job).map { |key| "“#{job.sheet.step(key).name.downcase}”" }
        "Still open after #{names.join(', ')}. Count it back in." if names.any?
      end

      def differences(job)
        Models::TrayDifference.standing.where(job_id: job.id).order(:id).all.map do |difference|
          "#{words(difference)}: find it, or write why it goes like this."
        end
      end

      # @return [String] as in "T8, 8 mm: 6 of 7"
      def words(difference)
        return "#{difference.words} is not back on its hook" if difference.piece.nil?

        "#{difference.words}: #{difference.counted} of #{difference.expected}"
      end

      def tools(job)
        return if job.tools_back_at

        names = TrayOfJob.tools(job)
        "Count the tools: #{names.join(', ')}." if names.any?
      end
    end
  end
end
