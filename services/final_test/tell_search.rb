# frozen_string_literal: true

module UprightBench
  module Services
    # What the complaint, tried again after the work, says to the search for its fault: gone, what was found is what it
    # was; still there, it was not all, and the search goes on from where it stands.
    module TellSearch
      module_function

      # @param job [Models::Job] locked
      # @param result [String] of Core::FinalTest::State::RESULTS
      def call(job, result, by:, at:)
        search = Models::FaultSearch.under_way.first(job_id: job.id)
        found = search && LadderOfJob.of(search, job).found
        return if found.nil? || found.empty?

        cause = found.first.key
        case result
        when "pass" then SearchFault.finish(job.number, cause, by: by, at: at)
        when "fail" then SearchFault.still_there(job.number, cause, by: by, at: at)
        end
      end
    end
  end
end
