# frozen_string_literal: true

module UprightBench
  module Core
    module Findings
      # What a finding means: its kind (a key of VerdictKind), the sentence that says why, the clause that decided and
      # how sure that clause is (:high it was measured or cannot be mistaken, :fair it was graded, :low it is a
      # judgement). A stop blocks all other work on the machine.
      class Verdict
        include Value

        fields :kind, :reason, :clause, confidence: :fair, stop: false, detail: {}

        private

        def check
          raise ArgumentError, "unknown kind #{kind}" unless VerdictKind::BY_KEY.key?(kind)
        end
      end
    end
  end
end
