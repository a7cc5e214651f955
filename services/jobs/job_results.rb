# frozen_string_literal: true

module UprightBench
  module Services
    # What a job does to the clocks of its machine: the tasks that count as done, and how far gone the rest was found.
    class JobResults
      DONE_BY = Core::Clocks::Task::DONE_BY
      LOOKED_AT = DONE_BY.fetch(:inspect)
      # A spare that was washed is none that is new: what it replaces is washed, not replaced. One of a box is new.
      OWN_SPARE = DONE_BY.fetch(:wash)
      # What was looked at and is still good, though its time is up: hardly gone, as what is judged good and was not
      # measured.
      STILL_GOOD = Core::Findings::Load.new(share: Core::Findings::Load::HARDLY, step: Core::Findings::Loads::GRADED)

      # @param job [Models::Job]
      # @param items [Array<Models::WorkItem>] that are done, or are taken to be
      # @param policy [Core::Findings::Policy]
      # @param findings [Array<Models::Finding>, nil] of the job, when the caller has read them
      # @param settled [Array<Models::SettledDue>, nil] the same
      def initialize(job, items, policy: Policies.now.findings, findings: nil, settled: nil)
        @job = job
        @items = items
        @policy = policy
        @found = findings
        @settled = settled
      end

      # @return [Hash{String=>Array<Symbol>}] position => actions
      def done
        looked_at = (findings + still_good).to_h { |seen| [seen.position, LOOKED_AT] }
        looked_at.merge(@items.to_h do |item|
          [item.position, item.own_spare && item.rotates ? OWN_SPARE : DONE_BY.fetch(item.action.to_sym, LOOKED_AT)]
        end)
      end

      # How far gone each place was found; what was done since begins anew whatever was found.
      # @return [Hash{String=>Hash{Symbol=>Core::Findings::Load}}]
      def loads
        still_good.each_with_object(findings.to_h { |finding| [finding.position, loads_of(finding)] }) do |due, loads|
          (loads[due.position] ||= {})[due.action.to_sym] = STILL_GOOD
        end
      end

      # @return [Hash{String=>Numeric}] position => percent of its indicator
      def indicators
        findings.to_h { |finding| [finding.position, finding.seen[:indicator_percent]] }.compact
      end

      private

      def findings
        @findings ||= (@found || Models::Finding.where(job_id: @job.id).all)
          .select { |finding| @job.sheet.position?(finding.position) }
      end

      def still_good
        @still_good ||= (@settled || Models::SettledDue.where(job_id: @job.id).all).select { |due| due.choice == "good" }
      end

      def loads_of(finding)
        found = Core::Findings::Loads.new(@job.sheet.position(finding.position), finding.seen, policy: @policy)
        told = { verdict: finding.verdict.to_sym, judged: finding.own_verdict }
        Core::Clocks::Task::ACTIONS.to_h { |action| [action, found.of(action, **told)] }.compact
      end
    end
  end
end
