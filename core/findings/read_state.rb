# frozen_string_literal: true

module UprightBench
  module Core
    module Findings
      # Parts that are read by one look: the state decides, as States has it.
      class ReadState < Reader
        CLAUSES = %i[bound washable_pad by_state].freeze

        private

        def state
          @observed[:state]
        end

        # Schools: dry, or a trace of silicone on a seal that binds.
        def bound
          return unless @position.kind == :seal && state == "binds" && policy.seal_care == :silicone

          say(:clean, :seal_binds_silicone, confidence: :high)
        end

        def washable_pad
          return unless @position.kind == :pad && state == "dirty" && @position.washable?

          say(:wash, :pad_dirty_washable, confidence: :high)
        end

        def by_state
          state && say_state(state)
        end
      end
    end
  end
end
