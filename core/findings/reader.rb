# frozen_string_literal: true

module UprightBench
  module Core
    module Findings
      # What the readers share: they try their clauses in the order of CLAUSES, and the first that
      # speaks decides. A clause is a method that returns a Verdict or nil.
      class Reader
        def initialize(position, observed, background)
          @position = position
          @observed = observed
          @background = background
        end

        # @return [Verdict, nil]
        def verdict
          self.class::CLAUSES.each do |clause|
            answer = send(clause)
            return answer if answer
          end
          nil
        end

        private

        def policy
          @background.policy
        end

        def say(mark, clause, reason, **more)
          Verdict.new(mark: mark, clause: clause, reason: reason, **more)
        end
      end
    end
  end
end
