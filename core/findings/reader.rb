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

        # What States says of the position's kind in this state.
        def say_state(state)
          kind, reason, stop = States.of(@position.kind, state)
          say(kind, :"#{@position.kind}_#{state.tr(' -', '_')}", reason, confidence: :high, stop: stop)
        end

        # A length as the shop writes it.
        def length(millimetres)
          Units::Length.words(millimetres, unit: policy.length_unit)
        end

        def say(kind, clause, reason, **more)
          Verdict.new(kind: kind, clause: clause, reason: reason, **more)
        end
      end
    end
  end
end
