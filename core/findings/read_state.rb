# frozen_string_literal: true

module UprightBench
  module Core
    module Findings
      # Parts that are read by one look: the state decides, as their kind has it.
      class ReadState < Reader
        CLAUSES = %i[bound washed by_state].freeze

        private

        def state
          @observed[:state]
        end

        # Schools: dry, or a trace of silicone on a seal that binds.
        def bound
          return unless @position.kind == :seal && state == "binds" && policy.seal_care == :silicone

          say(:clean, :seal_binds_silicone, confidence: :high)
        end

        def washed
          return unless state && @position.washable? && kind.state(state).wash_helps

          say(:wash, :dirty_washable, seen: Reason.of(clause(state)), confidence: :high)
        end

        def by_state
          state && say_state(state)
        end
      end
    end
  end
end
