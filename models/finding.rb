# frozen_string_literal: true

module UprightBench
  module Models
    # What was seen or measured at a position in a job.
    class Finding < Sequel::Model(:findings)
      many_to_one :job
      many_to_one :finder, class: "UprightBench::Models::Person", key: :found_by

      dataset_module do
        # The newest of each position at the earlier jobs of a machine, with the day (taken_in_at).
        def before(machine_id, job_id)
          earlier = Job.where(machine_id: machine_id).where(Sequel[:id] < job_id).select(:id, :taken_in_at)
          position = Sequel[:findings][:position]
          join(earlier, { id: Sequel[:findings][:job_id] }, table_alias: :earlier_job)
            .distinct(position).order(position, Sequel.desc(Sequel[:findings][:job_id]))
            .select_all(:findings).select_append(Sequel[:earlier_job][:taken_in_at])
        end
      end

      LAST_TIME = Prepared.new(:findings_of_earlier_jobs) do
        these = Sequel.cast(:$positions, "text[]")
        before(:$machine_id, :$job_id).where(Sequel.lit("(? = '{}' OR findings.position = ANY(?))", these, these))
      end
      private_constant :LAST_TIME

      # @param positions [Array<String>] none for all
      # @return [Array<Finding>] the newest of each position at the machine's earlier jobs, with the day (taken_in_at)
      def self.of_earlier_jobs(job, positions = [])
        LAST_TIME.all(machine_id: job.machine_id, job_id: job.id, positions: Sequel.pg_array(positions, :text))
      end

      # @return [Hash{Symbol=>Object}]
      def seen
        observed.to_hash.transform_keys(&:to_sym)
      end

      # @return [Core::Reason] what its sentence was made of; the sentence alone where only that was kept
      def why
        figures ? Core::Reason.stored("key" => clause, **figures.to_hash) : Core::Reason.written(reason)
      end

      # @return [Core::Findings::Verdict]
      def to_core
        Core::Findings::Verdict.new(kind: verdict.to_sym, reason: why, confidence: confidence.to_sym,
          also: also.map(&:to_sym))
      end
    end
  end
end
