# frozen_string_literal: true

module UprightBench
  module Models
    # A search for what is behind a complaint of a job.
    class FaultSearch < Sequel::Model(:fault_searches)
      many_to_one :job
      one_to_many :results, class: "UprightBench::Models::FaultResult", key: :fault_search_id, order: :id

      dataset_module do
        where :under_way, ended_at: nil
      end
    end
  end
end
