# frozen_string_literal: true

module UprightBench
  module Queries
    # What was found in a job, as its pages show it. Whoever includes this has a `job`, and may have the @person who
    # looks.
    module JobFindings
      # @return [Hash{String=>Models::Finding}] by position
      def findings
        @findings ||= Models::Finding.where(job_id: job.id).all.to_h { |finding| [finding.position, finding] }
      end

      # @return [Hash{String=>Models::Skip}] by position
      def skips
        @skips ||= Models::Skip.where(job_id: job.id).all.to_h { |skip| [skip.position, skip] }
      end

      # @param person_id [Integer] who found or skipped
      # @return [String]
      def name_of(person_id)
        return @person.name if @person&.id == person_id

        @names ||= Models::Person.select_hash(:id, :name)
        @names.fetch(person_id)
      end

      # @return [Array(String, String), nil] keys of a complaint and of what was behind it, where it was looked for and
      #   found
      def fault_found
        found = Models::FaultSearch.where(job_id: job.id, outcome: "found").reverse(:id)
        found.get(%i[complaint cause])
      end

      # @return [Hash{String=>Symbol}] position => mark
      def marks
        skips.select { |_, skip| skip.not_fitted? }.transform_values { :unfitted }
          .merge(findings.transform_values { |finding| finding.verdict.to_sym })
      end

      # @return [Hash{String=>String}] position => reason
      def notes
        skips.transform_values { |skip| "skipped, #{skip.reason}" }.merge(findings.transform_values(&:reason))
      end
    end
  end
end
