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
      # @param read [Hash] findings, items and settled, all of the job, when the caller has read them
      # @return [Array<Row>] along the air path
      def self.call(job, at:, policies: Policies.now, **read)
        new(job, at, policies, **read).call
      end

      def initialize(job, at, policies, findings: nil, items: nil, settled: nil)
        @job = job
        @today = Config::Zone.date(at)
        @policies = policies
        @findings = findings || Models::Finding.where(job_id: job.id).all
        @items = items || Models::WorkItem.where(job_id: job.id).all
        @settled = settled || Models::SettledDue.where(job_id: job.id).all
      end

      def call
        choices = @settled.to_h { |due| [[due.position, due.task], due.choice] }
        outlooks.filter_map do |place, task, outlook|
          choice = choices[[place.key, task.key]]
          next unless outlook.state || choice == "good"

          Row.new(place: place, task: task, outlook: outlook, choice: choice)
        end
      end

      private

      def outlooks
        preview.select { |place, _, _| @job.sheet.position?(place.key) }.map do |place, task, due|
          [place, task, Core::Clocks::Outlook.new(due: due, task: task, today: @today, heard_on: heard_on)]
        end
      end

      # As if all were done that is not left.
      def preview
        results = JobResults.new(@job, @items.reject { |item| item.state == "left" }, policy: @policies.findings,
          findings: @findings, settled: @settled)
        SetClocks.preview(@job.machine, done: results.done, loads: results.loads, on: @today, policies: @policies)
      end

      def heard_on
        @today + @policies.cards.quiet_days + @policies.cards.longest_lead_days
      end
    end
  end
end
