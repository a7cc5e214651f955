# frozen_string_literal: true

module UprightBench
  module Services
    # Once a day: who was told that their machine is ready and did not fetch it hears again, after the days that the
    # owner set, and not without end.
    module RemindToFetch
      module_function

      # @return [Integer] customers told
      def call(at:)
        policies = Policies.now
        waiting(policies, at).count { |job| remind(job, policies, at) }
      end

      # @return [Array<Models::Job>] nobody was told of lately
      def waiting(policies, at)
        since = at - (policies["fetch_again_days"] * 86_400)
        told = Models::Notice.standing.where(job_id: Sequel[:jobs][:id])
        lately = told.where(Sequel[:asked_at] > since)
        Models::Job.where(state: Core::Jobs::States.names(:to_collect)).where(told.select(1).exists)
          .exclude(lately.select(1).exists).order(:id).all
      end

      # @return [Boolean] whether they are told once more
      def remind(job, policies, at)
        DB.transaction do
          job.lock!
          reminders = Models::Notice.standing.where(job_id: job.id, kind: "fetch").count
          next false if !job.to_collect? || reminders >= policies["most_fetch_reminders"]

          Tell.call(job, :fetch, by: nil, at: at)
          true
        end
      end
      private_class_method :waiting, :remind
    end
  end
end
