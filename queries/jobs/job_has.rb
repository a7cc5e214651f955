# frozen_string_literal: true

module UprightBench
  module Queries
    # Of what a job has anything at all. Most jobs have nothing of most of it: asked once, a page need not ask for each.
    module JobHas
      module_function

      # @param job [Models::Job]
      # @return [Hash{Symbol=>Boolean}] by the names of `rows`
      def call(job)
        HAS.first(job_id: job.id, machine_id: job.machine_id, customer_id: job.customer_id)
      end

      # @return [Hash{Symbol=>Sequel::Dataset}]
      def rows
        job = { job_id: :$job_id }
        machine = { machine_id: :$machine_id }
        { stops: Models::Stop.where(job), skips: Models::Skip.where(job), questions: Models::Question.where(job),
          fault_found: Models::FaultSearch.where(job).where(outcome: "found"), accessories: Models::Accessory.where(job),
          stays: Models::RackStay.join(:work_items, id: :work_item_id).where(job),
          settled: Models::SettledDue.where(job), agreed: Models::Estimate.where(job),
          sent: Models::EstimateSent.where(job), notes: Models::Note.standing.where(Sequel.|(machine, job)),
          spares: Models::Spare.waiting.where(machine), at_home: Models::HomePiece.where(machine),
          others: Services::PromiseTogether.of_customer(:$customer_id, :$job_id) }
      end

      HAS = Models::Prepared.new(:what_a_job_has) do
        DB.select(*rows.map { |name, some| some.select(1).exists.as(name) })
      end
      private_constant :HAS
      private_class_method :rows
    end
  end
end
