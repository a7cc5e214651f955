# frozen_string_literal: true

module UprightBench
  module Screens
    module Helpers
      # What was found in a job, as its pages show it. Whoever includes this has a `job`.
      module Found
        # @return [Hash{String=>Models::Finding}] by position
        def findings
          @findings ||= Models::Finding.where(job_id: job.id).eager_graph(:finder).all.to_h { |finding| [finding.position, finding] }
        end

        # @return [Hash{String=>Models::Skip}] by position
        def skips
          @skips ||= Models::Skip.where(job_id: job.id).eager_graph(:skipper).all.to_h { |skip| [skip.position, skip] }
        end

        # @return [Hash{String=>Symbol}] position => mark
        def marks
          skips.select { |_, skip| skip.not_fitted? }.transform_values { :unfitted }.merge(findings.transform_values { |finding| finding.mark.to_sym })
        end

        # @return [Hash{String=>String}] position => reason
        def notes
          skips.transform_values { |skip| "skipped, #{skip.reason}" }.merge(findings.transform_values(&:reason))
        end
      end
    end
  end
end
