# frozen_string_literal: true

module UprightBench
  module Models
    # What a check of a search showed. One that was taken back stays on file, and counts no longer.
    class FaultResult < Sequel::Model(:fault_results)
    end
  end
end
