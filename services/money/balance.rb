# frozen_string_literal: true

module UprightBench
  module Services
    # What is owed. Payments of a job count for all its bills: a deposit for the first, and what was paid for a bill
    # that was taken back for the one after it.
    module Balance
      module_function

      # @return [Integer] cents; negative where something is to be given back
      def of_job(job)
        Models::Bill.where(job_id: job.id).sum(:total_cents).to_i - paid(job_id: job.id)
      end

      # @param bill [Models::Bill]
      # @return [Integer] cents
      def of(bill)
        return of_job(bill.job) if bill.job_id

        first = bill.credits_id || bill.id
        Models::Bill.where(Sequel.|({ id: first }, { credits_id: first })).sum(:total_cents).to_i - paid(bill_id: first)
      end

      # @return [Integer] cents
      def paid(whose)
        Models::Payment.where(whose).sum(:cents).to_i
      end
    end
  end
end
