# frozen_string_literal: true

module UprightBench
  module Models
    # How one thing came out that was tried at the end of a job.
    class FinalTest < Sequel::Model(:final_tests)
      many_to_one :job
      many_to_one :tester, class: "UprightBench::Models::Person", key: :tested_by

      # As Core::FinalTest::State asks.
      def key
        trial
      end

      def at
        tested_at
      end
    end
  end
end
