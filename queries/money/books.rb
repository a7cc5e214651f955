# frozen_string_literal: true

module UprightBench
  module Queries
    # What the books want of a period.
    module Books
      module_function

      # @return [Models::Bill, nil] the one that stands for a job
      def standing(job)
        Models::Bill.standing.first(job_id: job.id)
      end

      # @return [Array<Models::Bill>]
      def bills(from, till)
        Models::Bill.where(issued_on: from..till).eager(:job).order(:number).all
      end

      # @return [Array<Models::Payment>]
      def payments(from, till)
        Models::Payment.where(paid_on: from..till).eager(:job, :bill).order(:id).all
      end
    end
  end
end
