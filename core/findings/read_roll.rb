# frozen_string_literal: true

module UprightBench
  module Core
    module Findings
      # Roll: worn bristles, then how it turns, then what its light says. (Common practice.)
      class ReadRoll < Reader
        CLAUSES = %i[worn light_with_the_roll_free by_turning full light_alone].freeze

        private

        def worn
          return unless %w[worn missing].include?(@observed[:bristles])

          say(:replace, :roll_worn, bristles: @observed[:bristles], confidence: :high)
        end

        def light_with_the_roll_free
          return unless fault? && @observed[:turns] == "free"

          say(:refer, :roll_light, confidence: :high)
        end

        def by_turning
          @observed[:turns] && say_state(@observed[:turns])
        end

        def full
          return unless @observed[:bristles] && !fault?

          say(:leave, :roll_full)
        end

        def light_alone
          return unless @observed[:light]
          return say(:leave, :roll_light_fine, confidence: :low) unless fault?

          say(:clean, :roll_light_first, confidence: :low)
        end

        def fault?
          @observed[:light] == "shows a fault"
        end
      end
    end
  end
end
