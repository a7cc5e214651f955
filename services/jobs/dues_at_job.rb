# frozen_string_literal: true

module UprightBench
  module Services
    # What would be overdue if a machine left with what is planned for it, and what falls due before anybody hears of it
    # again; each with what was said about it.
    class DuesAtJob
      # @!attribute outlook [Core::Clocks::Outlook]
      # @!attribute choice [String, nil] of Core::Clocks::Outlook::CHOICES
      Row = Struct.new(:place, :task, :outlook, :choice, keyword_init: true) do
        def due_on
          outlook.due.due_on
        end

        # @return [Array<String>] what may still be said about it
        def choices
          (outlook.choices.map(&:to_s) | (choice ? %w[now left] : [])) - [choice]
        end

        # @return [Core::Reason] what decided the day, which is said beside it
        def why
          first = outlook.due.reasons.first
          first.with(figures: first.figures.except(:until_on))
        end
      end

      # @param job [Models::Job]
      # @return [Array<Row>] along the air path
      def self.call(job, at:, policies: Policies.now)
        new(job, at, policies).call
      end

      def initialize(job, at, policies)
        @job = job
        @today = Config::Zone.date(at)
        @policies = policies
      end

      def call
        settled = Models::SettledDue.where(job_id: @job.id).select_hash(%i[position task], :choice)
        outlooks.filter_map do |place, task, outlook|
          choice = settled[[place.key, task.key]]
          next unless outlook.state || choice == "good"

          Row.new(place: place, task: task, outlook: outlook, choice: choice)
        end
      end

      private

      def outlooks
        results = JobResults.new(@job, planned, policy: @policies.findings)
        SetClocks.preview(@job.machine, done: results.done, loads: results.loads, on: @today)
          .select { |place, _, _| @job.sheet.position?(place.key) }.map do |place, task, due|
          [place, task, Core::Clocks::Outlook.new(due: due, task: task, today: @today, heard_on: heard_on)]
        end
      end

      # As if all were done that is not left.
      def planned
        Models::WorkItem.where(job_id: @job.id).exclude(state: "left").all
      end

      def heard_on
        @today + @policies.cards.quiet_days + @policies.cards.longest_lead_days
      end
    end
  end
end
