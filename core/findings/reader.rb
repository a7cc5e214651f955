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

        # What is to be done besides, whatever else was found.
        # @return [Array<Verdict>]
        def beside
          []
        end

        private

        def policy
          @background.policy
        end

        # What States says of the position's kind in this state.
        def say_state(state)
          kind, stop = States.of(@position.kind, state)
          say(kind, States.clause(@position.kind, state), confidence: :high, stop: stop)
        end

        # @param figures [Hash{Symbol=>Object}] of the reason
        def say(kind, clause, confidence: :fair, stop: false, **figures)
          Verdict.new(kind: kind, reason: Reason.of(clause, **figures), confidence: confidence, stop: stop)
        end
      end
    end
  end
end
