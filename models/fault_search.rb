# frozen_string_literal: true

module UprightBench
  module Models
    # A search for what is behind a complaint of a job.
    class FaultSearch < Sequel::Model(:fault_searches)
      many_to_one :job
      # Also those that were taken back.
      one_to_many :answers, class: "UprightBench::Models::FaultResult", key: :fault_search_id, order: :id

      dataset_module do
        where :under_way, ended_at: nil
      end

      # @return [Array<FaultResult>] the answers that stand, in their order
      def results
        answers.select { |answer| answer.taken_back_at.nil? }
      end

      # @return [Array<FaultResult>]
      def taken_back
        answers - results
      end
    end
  end
end
