# frozen_string_literal: true

module UprightBench
  module Core
    module Findings
      # What a finding means: its kind (a key of VerdictKind), the reason, and how sure that is (:high it was measured
      # or cannot be mistaken, :fair it was graded, :low it is a judgement). A stop blocks all other work on the
      # machine. `also` are kinds of what is done at the place besides.
      class Verdict
        include Value

        fields :kind, :reason, confidence: :fair, stop: false, also: []

        # @return [Symbol] the reader's clause that decided
        def clause
          reason.key
        end

        private

        def check
          raise ArgumentError, "unknown kind #{kind}" unless VerdictKind::BY_KEY.key?(kind)
        end
      end
    end
  end
end
