# frozen_string_literal: true

module UprightBench
  module Models
    # What a check of a search showed.
    class FaultResult < Sequel::Model(:fault_results)
    end
  end
end
