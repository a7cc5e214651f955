# frozen_string_literal: true

module UprightBench
  module Services
    # Machines of one customer that are fetched together get one promise: that of whichever is ready last.
    module PromiseTogether
      module_function

      # @param job [Models::Job]
      # @return [Sequel::Dataset] other jobs of its customer that have a promise, and are not done
      def others(job)
        of_customer(job.customer_id, job.id).order(:number)
      end

      # @return [Sequel::Dataset] all of a customer but one
      def of_customer(customer_id, but)
        Models::Job.where(customer_id: customer_id, state: Core::Jobs::States.names(:agreed)).exclude(id: but)
          .exclude(promise_at: nil)
      end

      # Locked in the order of their numbers, and by itself: whoever gives a promise holds a job and waits for the plan.
      # @return [Array<Integer>] numbers of jobs whose promise is later now
      def call(number, by:, at:)
        DB.transaction do
          job = Lookup.job(number)
          all = Models::Job.where(id: [job.id, *others(job).select_map(:id)]).order(:number).for_update.all
          last = all.filter_map(&:promise_at).max
          earlier = all.select { |job| job.promise_at && job.promise_at < last }
          earlier.each { |job| move(job, last, by, at) }
          earlier.map(&:number)
        end
      end

      def move(job, last, by, at)
        History.note("promised together", job, by: by, at: at, job: job,
          data: { from: job.promise_at.iso8601, till: last.iso8601 })
        job.update(promise_at: last, promise_reason: "together with the customer's other machines")
      end
      private_class_method :move
    end
  end
end
