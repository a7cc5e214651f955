# frozen_string_literal: true

module UprightBench
  module Demo
    # All that is open at a machine, closed again with nothing missing.
    module PutBack
      module_function

      def call(job, by:, at:)
        while (step = Services::TrayOfJob.call(job).next_in)
          Services::CloseStep.call(job.number, step.key, by: by, at: at)
        end
        Services::ToolsBack.call(job.number, by: by, at: at) if Services::TrayOfJob.tools(job).any?
      end
    end
  end
end
