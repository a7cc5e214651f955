# frozen_string_literal: true

module UprightBench
  module Models
    # What was seen or measured at a position in a job.
    class Finding < Sequel::Model(:findings)
      many_to_one :job
      many_to_one :finder, class: "UprightBench::Models::Person", key: :found_by

      # @return [Hash{Symbol=>Object}]
      def seen
        observed.to_hash.transform_keys(&:to_sym)
      end

      # @return [Core::Findings::Verdict]
      def to_core
        Core::Findings::Verdict.new(mark: mark.to_sym, reason: reason, clause: clause.to_sym, confidence: confidence.to_sym)
      end
    end
  end
end
