# frozen_string_literal: true

module UprightBench
  module Services
    # Tells a customer, before a promise breaks, that it will be later; from then on the new time is promised, which is
    # the one that the plan's page shows. Somebody presses: it is never sent by itself.
    module TellLate
      LEAST_SECONDS = 300 # nobody is told of less

      module_function

      # @param till [Time] that whoever presses was shown
      # @return [Models::Notice]
      # @raise [Refused] when nothing is promised, it will not be later, or the plan says something else by now
      def call(number, till:, by:, at:)
        plan_anew(at) if outdated?(number, at)
        DB.transaction do
          job = Lookup.job(number, lock: true)
          raise Refused, "Job #{number} has no promise that could be late." unless job.agreed? && job.promise_at

          refuse_unplanned(job, till, at)
          note(job, till, by, at)
          job.update(Promises.give_later(job, till: till, at: at))
          Tell.call(job, :late, by: by, at: at, time: till)
        end
      end

      # @return [Boolean] it should be ready by now, as the plan stands
      def outdated?(number, at)
        planned = Models::BenchPlan.the.later_by(number)
        !planned.nil? && planned <= at
      end

      # And what would save each promise is looked for.
      def plan_anew(at)
        MakePlan.call(at: at)
        MakePlan.ask
      end

      def refuse_unplanned(job, till, at)
        planned = Models::BenchPlan.the.later_by(job.number)
        raise Refused, "It will be ready in time." unless planned && planned - job.promise_at > LEAST_SECONDS
        return if planned == till

        raise Refused, "The plan has changed: it can be promised for #{Moments.words(planned, at: at)} now."
      end

      def note(job, till, by, at)
        History.note("promised later", job, by: by, at: at, job: job,
          data: { from: job.promise_at.iso8601, till: till.iso8601 })
      end
      private_class_method :outdated?, :plan_anew, :refuse_unplanned, :note
    end
  end
end
