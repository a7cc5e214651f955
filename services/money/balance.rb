# frozen_string_literal: true

module UprightBench
  module Services
    # What is owed. Payments of a job count for all its bills: a deposit for the first, and what was paid for a bill
    # that was taken back for the one after it. The database keeps it, as they
    # are written.
    module Balance
      module_function

      # @return [Integer] cents; negative where something is to be given back
      def of_job(job)
        kept(job_id: job.id)
      end

      # @param bill [Models::Bill]
      # @return [Integer] cents
      def of(bill)
        bill.job_id ? kept(job_id: bill.job_id) : kept(bill_id: bill.credits_id || bill.id)
      end

      def kept(whose)
        DB[:balances].where(whose).get(:cents).to_i
      end
      private_class_method :kept
    end
  end
end
