# frozen_string_literal: true

module UprightBench
  module Services
    # What stood at a place before an answer of a search wrote a finding there, and how it is put back.
    class PlaceBefore
      FINDING = %i[observed verdict own_verdict clause found_by found_at request_key].freeze
      SKIP = %i[reason skipped_by skipped_at].freeze

      # @param job [Models::Job]
      # @param position [String]
      # @return [Hash] as JSON keeps it
      def self.kept(job, position)
        here = { job_id: job.id, position: position }
        { finding: Models::Finding.first(here)&.then { |one| values(one, FINDING) },
          skip: Models::Skip.first(here)&.then { |one| values(one, SKIP) } }.compact
      end

      def self.values(row, columns)
        row.values.slice(*columns).transform_values { |value| value.is_a?(Time) ? value.iso8601(6) : value }
      end
      private_class_method :values

      # @param job [Models::Job] locked by the caller
      # @param answer [Models::FaultResult] that was taken back
      def initialize(job, answer, by:, at:)
        @job = job
        @answer = answer
        @by = by
        @at = at
      end

      # @return [Symbol, nil] :stays where somebody recorded more there since, or work rests on it; nil where nothing of
      #   the answer is left
      def put_back
        return if @answer.position.nil?

        written = Models::Finding.first(job_id: @job.id, position: @answer.position)
        return if written.nil?
        return :stays if written.request_key != @answer.finding_key || work_rests_on_it?

        record(written, before["finding"])
        skip(before["skip"]) if before["skip"]
        nil
      end

      private

      def before
        @before ||= @answer.stood_before.to_hash
      end

      # What is done, chosen or agreed with the customer is not undone by the way.
      def work_rests_on_it?
        item = Models::WorkItem.first(job_id: @job.id, position: @answer.position) or return false
        !item.to_do? || !item.part_id.nil? || @job.agreed?
      end

      def record(written, stood)
        RecordFinding.new(@job, @answer.position, version: written.version, by: @by, at: @at, **said(stood)).call
      end

      # @return [Hash] of RecordFinding; of nothing, it is cleared
      def said(stood)
        return { observed: {} } unless stood

        { observed: stood["observed"].transform_keys(&:to_sym), request_key: stood["request_key"],
          verdict: (stood["verdict"].to_sym if stood["own_verdict"]), fine: stood["clause"] == "looked_fine",
          seen: [Models::Person.with_pk!(stood["found_by"]), Time.iso8601(stood["found_at"])] }
      end

      def skip(stood)
        Models::Skip.create(job_id: @job.id, position: @answer.position, **stood.transform_keys(&:to_sym))
      end
    end
  end
end
