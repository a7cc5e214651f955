# frozen_string_literal: true

module UprightBench
  module Queries
    # What the clocks of a job's machine ask for, and what was said about it in the job. Whoever includes this is a
    # JobPage.
    module JobDues
      # @return [Array<Services::DuesAtJob::Row>] what its clocks ask for, beside what was found
      def dues_to_settle
        @dues_to_settle ||= Services::DuesAtJob.call(@job, at: @now, policies: @policies, findings: findings.values,
          items: items, settled: settled)
      end

      # @return [Array<Services::DuesAtJob::Row>] without what was left already, where it was found too
      def dues_to_ask
        dues_to_settle.reject { |row| row.choice.nil? && left_already?(row) }
      end

      # What was left would have done it.
      def left_already?(row)
        items.any? do |item|
          item.state == "left" && item.position == row.place.key &&
            Core::Clocks::Task::DONE_BY.fetch(item.action.to_sym, []).include?(row.task.action)
        end
      end
      private :left_already?

      # @return [Hash{Array(String, String)=>String}] position and task => what was said about it
      def settled_dues
        @settled_dues ||= settled.to_h { |due| [[due.position, due.task], due.choice] }
      end

      def settled
        @settled ||= has?(:settled) ? Models::SettledDue.where(job_id: @job.id).all : []
      end
      private :settled

      # @return [Array<String>] at which the customer left something that was due
      def left_places
        settled_dues.select { |_, choice| choice == "left" }.keys.map(&:first).uniq
      end

      # @return [Boolean] it is done because its time is up, and not for what was found
      def time_up?(item)
        items_due = settled_dues.reject { |_, choice| choice == "good" }.keys.map(&:first)
        items_due.include?(item.position) && findings[item.position]&.verdict != item.action
      end

      # @return [Array<Models::Due>] the running clocks of the machine, soonest first
      def dues
        @dues ||= MachineDues.call(@job.machine_id)
      end
    end
  end
end
