# frozen_string_literal: true

module UprightBench
  module Queries
    # When a gauge was last read at a job's machine.
    module LastReadAt
      module_function

      # @param job [Models::Job]
      # @return [Time, nil]
      def call(job)
        Models::SuctionReading.where(job_id: job.id).max(:taken_at)
      end
    end
  end
end
