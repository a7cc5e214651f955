# frozen_string_literal: true

module UprightBench
  module Services
    # Says about something that is due what becomes of it before the machine leaves: it is done now, it was looked at
    # and is still good, or the customer leaves it.
    class SettleDue
      # @param number [Integer] the job's
      # @param position [String]
      # @param task [String] key of a task of that place
      # @param choice [String] of Core::Clocks::Outlook::CHOICES
      # @raise [NotFound, Refused] also when nothing is due there, or that may not be said about it
      def self.call(number, position, task, choice:, by:, at:)
        DB.transaction do
          job = Lookup.job(number, lock: true)
          raise Refused, "Job #{number} is #{job.state_words}." unless job.changeable?

          new(job, by, at).call(position, task, choice)
        end
      end

      # When the customer agrees, what is overdue and was not chosen is left by them, and is named.
      # @param job [Models::Job] locked by the caller
      def self.leave_rest(job, by:, at:)
        settle = new(job, by, at)
        DuesAtJob.call(job, at: at).each do |row|
          settle.keep(row, "left") if row.choice != "left" && row.outlook.state == :expired
        end
      end

      # An item that stands for something due was left, or is to be done after all.
      # @param item [Models::WorkItem]
      def self.follow(item, from:, to:)
        Models::SettledDue.where(job_id: item.job_id, position: item.position, action: item.action, choice: from)
          .update(choice: to)
      end

      def initialize(job, by, at)
        @job = job
        @by = by
        @at = at
      end

      def call(position, task, choice)
        row = rows.find { |due| due.place.key == position && due.task.key == task }
        raise NotFound, "Nothing is due there." unless row
        raise Refused, "That cannot be said about it." unless row.choices.include?(choice)

        keep(row, choice)
        replan
      end

      # @param row [DuesAtJob::Row]
      def keep(row, choice)
        key = { job_id: @job.id, position: row.place.key, task: row.task.key }
        said = { choice: choice, due_on: row.due_on, action: row.task.action.to_s, chosen_by: @by.id, chosen_at: @at }
        Models::SettledDue.dataset.insert_conflict(target: key.keys, update: said).insert(**key, **said)
        History.note("settled a due task", @job, by: @by, at: @at, job: @job,
          data: { position: row.place.key, task: row.task.key, choice: choice })
      end

      private

      def rows
        DuesAtJob.call(@job, at: @at)
      end

      def replan
        PlanWork.call(@job, by: @by)
        FinishLookOver.choose_best(@job, @at)
        @job.update(Promises.fields(@job, at: @at)) if @job.estimated?
      end
    end
  end
end
