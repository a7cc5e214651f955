# frozen_string_literal: true

module UprightBench
  module Services
    # Keeps a job's work list in step with its findings. What is done stays done, unless the finding now
    # asks for more (a washed filter that is still grey is replaced).
    class PlanWork
      MORE_THAN_DONE = %w[replace refer].freeze

      # @param job [Models::Job] locked by the caller
      def self.call(job, by:)
        new(job, by).call
      end

      def initialize(job, by)
        @job = job
        @by = by
        @known = Models::WorkItem.where(job_id: job.id).all.to_h { |item| [item.position, item] }
      end

      def call
        planned = plan
        planned.each_with_index { |item, index| keep(item, index) }
        gone = @known.keys - planned.map(&:position)
        Models::WorkItem.where(job_id: @job.id, position: gone, state: "to_do").delete
      end

      private

      def plan
        findings = Models::Finding.where(job_id: @job.id).all.to_h { |finding| [finding.position, finding.to_core] }
        missing = Models::Skip.where(job_id: @job.id, reason: Models::Skip::NOT_FITTED).select_map(:position)
        Core::Work::Plan.new(sheet: @job.sheet, findings: findings, missing: missing, due: due).call
      end

      # What is done now because its time is up; of several at a place the strongest.
      def due
        Models::SettledDue.to_do_now.where(job_id: @job.id).all
          .sort_by { |due| Core::Findings::VerdictKind::KEYS.index(due.action.to_sym) }
          .to_h { |due| [due.position, verdict_of(due)] }
      end

      def verdict_of(due)
        Core::Findings::Verdict.new(kind: due.action.to_sym, reason: Core::Reason.of(:time_is_up, due_on: due.due_on))
      end

      def keep(item, index)
        known = @known[item.position]
        fields = { sequence: index, action: item.action.to_s, minutes: item.minutes,
                   reason: reason_of(item) }
        return Models::WorkItem.create(job_id: @job.id, position: item.position, **fields) if known.nil?
        return known.update(sequence: index) if settled?(known, item)

        known.update(**fields, state: "to_do", done_by: nil, done_at: nil, took_minutes: nil,
          **(known.action == item.action.to_s ? {} : ChoosePart::NONE))
      end

      def reason_of(item)
        @unit ||= Policies.now.findings.length_unit
        English::Sentences.of(item.reason, unit: @unit)
      end

      # A spare fitted in place of a wash stays that way; so does what is done, unless more is asked.
      def settled?(known, item)
        return true if known.action == "replace" && item.action == :wash && known.chosen?
        return false if known.to_do?

        known.action == item.action.to_s || !MORE_THAN_DONE.include?(item.action.to_s)
      end
    end
  end
end
