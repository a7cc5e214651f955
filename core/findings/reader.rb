# frozen_string_literal: true

module UprightBench
  module Core
    module Findings
      # What the readers share: they try their clauses in the order of CLAUSES, and the first that
      # speaks decides. A clause is a method that returns a Verdict or nil.
      class Reader
        ASKS_FOR = [].freeze # fields of Background that it asks for, beside the policy

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

        def kind
          @position.kind_of_part
        end

        # The verdict that the kind of part gives for this state.
        def say_state(word)
          state = kind.state(word)
          say(state.verdict_kind, clause(word), confidence: :high, stop: state.stop?)
        end

        # @return [Symbol] as in :side_brush_hair_wound
        def clause(state)
          :"#{@position.kind}_#{state.tr(' -', '_')}"
        end

        # @param figures [Hash{Symbol=>Object}] of the reason
        def say(kind, clause, confidence: :fair, stop: false, **figures)
          Verdict.new(kind: kind, reason: Reason.of(clause, **figures), confidence: confidence, stop: stop)
        end
      end
    end
  end
end
