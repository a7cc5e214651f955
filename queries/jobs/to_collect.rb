# frozen_string_literal: true

module UprightBench
  module Queries
    # What waits to be fetched, the longest first, with what its customer was told.
    class ToCollect
      Row = Struct.new(:job, :since, :notice, keyword_init: true)

      # @return [Array<Row>] `notice` is the newest, nil where nobody was told
      def rows
        @rows ||= jobs.map do |job|
          Row.new(job: job, since: job.closed_up_at || ended_at(job), notice: newest[job.id])
        end.sort_by(&:since)
      end

      private

      def jobs
        @jobs ||= Models::Job.where(state: Core::Jobs::States.names(:to_collect))
          .eager(:customer, machine: :sheet).order(:id).all
      end

      def newest
        @newest ||= Models::Notice.standing.where(job_id: jobs.map(&:id)).order(:id).eager(:teller).all
          .to_h { |notice| [notice.job_id, notice] }
      end

      # When it was declined, or sent to the maker.
      def ended_at(job)
        early = Core::Jobs::States.names(:ended_early)
        @ended ||= Models::Event.where(job_id: jobs.map(&:id), verb: early).select_hash(:job_id, Sequel[:at])
        @ended.fetch(job.id, job.taken_in_at)
      end
    end
  end
end
