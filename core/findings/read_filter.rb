# frozen_string_literal: true

module UprightBench
  module Core
    module Findings
      # Filter: torn, wetted, loose, after a wash, full indicator, at its last wash, as dark as the reference,
      # smelling, greyed.
      class ReadFilter < Reader
        CLAUSES = %i[torn damp unwashed_out indicator_full washed_out dark smelling loose greyed light].freeze
        DARK = 5           # as dark as the reference (common practice)
        STILL_GREY = 4     # after a wash (common practice)
        WORTH_A_WASH = 3   # house rule

        private

        def grey
          @observed[:grey]
        end

        def torn
          return unless @observed[:torn]

          say(:replace, :torn, "Torn or out of shape: it lets dust past the seal.", confidence: :high)
        end

        # A filter put back damp smells of mould and can kill the motor.
        def damp
          return unless @observed[:damp]
          if @position.washable?
            return say(:wash, :damp_washable, "Damp: rinse it and dry it through; damp it can kill the motor.")
          end

          say(:replace, :damp, "It was wetted and must not be: replace it.", confidence: :high)
        end

        def loose
          return unless @observed[:loose]

          say(:clean, :loose, "Loose: clean its seat and set it again. It must click or lock, with no gap.",
            confidence: :high)
        end

        def unwashed_out
          return unless @observed[:after_wash]
          return say(:replace, :smells_after_wash, "Still smells after the wash.") if @observed[:smell]
          return unless grey && grey >= STILL_GREY

          say(:replace, :grey_after_wash, "Still grey #{grey} of 5 after the wash: it will not come cleaner.")
        end

        def indicator_full
          return unless @observed[:indicator_percent] && @observed[:indicator_percent] >= 100

          say(:replace, :indicator_full, "The indicator is full.", confidence: :high)
        end

        def washed_out
          return unless @position.washable? && @background.wash_count >= policy.washes_in_a_life

          say(:replace, :washed_out, "Washed #{@background.wash_count} times; #{policy.washes_in_a_life} are its life.")
        end

        def dark
          return unless grey && grey >= DARK
          return say(:wash, :dark_washable, "As dark as its reference, and may be washed.") if @position.washable?

          say(:replace, :dark, "As dark as its reference, and must not be wetted.", confidence: :high)
        end

        def smelling
          return unless @observed[:smell]
          return say(:wash, :smell_washable, "Smells; a wash comes first.") if @position.washable?

          say(:replace, :smell, "Smells, and must not be wetted.")
        end

        def greyed
          return unless grey && grey >= WORTH_A_WASH
          return say(:wash, :grey_washable, "Grey #{grey} of 5: worth a wash.") if @position.washable?
          return say(:clean, :grey_tap_out, "Grey #{grey} of 5: tap it out.") if @position.tap_out

          say(:leave, :grey_not_full, "Grey #{grey} of 5: still has life, and there is nothing to clean.",
            confidence: :low)
        end

        def light
          if grey&.positive? && @position.tap_out
            return say(:clean, :tap_out, "Grey #{grey} of 5: tap it out, no water needed.")
          end
          return say(:leave, :light, "Grey #{grey} of 5: nothing to do.") if grey
          return unless @observed[:indicator_percent]

          say(:leave, :indicator_left, "The indicator stands at #{@observed[:indicator_percent]} %.", confidence: :high)
        end
      end
    end
  end
end
