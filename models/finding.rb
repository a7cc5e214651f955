# frozen_string_literal: true

module UprightBench
  module Models
    # What was seen or measured at a position in a job.
    class Finding < Sequel::Model(:findings)
      many_to_one :job
      many_to_one :finder, class: "UprightBench::Models::Person", key: :found_by

      dataset_module do
        # The newest finding of each position at the machine's earlier visits, with the day of the visit (taken_in_at).
        def of_last_visits(job)
          earlier = Job.where(machine_id: job.machine_id).where { id < job.id }.select(:id, :taken_in_at)
          join(earlier, { id: Sequel[:findings][:job_id] }, table_alias: :visit)
            .distinct(Sequel[:findings][:position]).order(Sequel[:findings][:position], Sequel.desc(Sequel[:findings][:job_id]))
            .select_all(:findings).select_append(Sequel[:visit][:taken_in_at])
        end
      end

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
