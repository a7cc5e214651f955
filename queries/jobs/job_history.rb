# frozen_string_literal: true

module UprightBench
  module Queries
    # Everything that happened to a job, in order.
    module JobHistory
      module_function

      # @param job [Models::Job]
      # @return [Array<Models::Event>]
      def call(job)
        Models::Event.where(job_id: job.id).order(:id).all
      end
    end
  end
end
