# frozen_string_literal: true

module UprightBench
  module Core
    module Findings
      # What a finding means: the mark, the sentence that says why, the clause that decided and how sure
      # that clause is (:high it was measured or cannot be mistaken, :fair it was graded, :low it is a judgement).
      # A stop blocks all other work on the machine.
      class Verdict
        include Value

        fields :mark, :reason, :clause, confidence: :fair, stop: false, detail: {}

        # In the order of the keys 1 to 5.
        MARKS = %i[leave clean wash replace refer].freeze

        private

        def check
          raise ArgumentError, "unknown mark #{mark}" unless MARKS.include?(mark)
        end
      end
    end
  end
end
