# frozen_string_literal: true

module UprightBench
  module Core
    module Findings
      # Parts that are read by one look: the state decides, as States has it.
      class ReadState < Reader
        CLAUSES = %i[bound washed by_state].freeze
        # States that a wash helps where the sheet allows one; else they are cleaned dry.
        DIRTY = { pad: %w[dirty], tank: %w[dirty], path: %w[partly blocked], screen: %w[hair-wound clogged],
                  cyclone: %w[dusty packed], window: %w[dirty], wiper: %w[dirty], seal: %w[dirty] }.freeze

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
          return unless @position.washable? && DIRTY.fetch(@position.kind, []).include?(state)

          say(:wash, :dirty_washable, seen: Reason.of(States.clause(@position.kind, state)), confidence: :high)
        end

        def by_state
          state && say_state(state)
        end
      end
    end
  end
end
