# frozen_string_literal: true

module UprightBench
  module Core
    module Findings
      # Filter: torn, wetted, loose, after a wash, full indicator, at its last wash, as dark as the reference,
      # smelling, greyed.
      class ReadFilter < Reader
        ASKS_FOR = %i[wash_count].freeze
        CLAUSES = %i[torn damp unwashed_out indicator_full washed_out dark smelling greyed light].freeze
        DARK = 5           # as dark as the reference (common practice)
        STILL_GREY = 4     # after a wash (common practice)
        WORTH_A_WASH = 3   # house rule

        # A seat is checked whatever becomes of the filter.
        def beside
          [loose].compact
        end

        private

        def grey
          @observed[:grey]
        end

        def torn
          return unless @observed[:torn]

          say(:replace, :torn, confidence: :high)
        end

        # A filter put back damp smells of mould and can kill the motor.
        def damp
          return unless @observed[:damp]
          return say(:wash, :damp_washable) if @position.washable?

          say(:replace, :damp, confidence: :high)
        end

        def loose
          return unless @observed[:loose]

          say(:clean, :loose, confidence: :high)
        end

        def unwashed_out
          return unless @observed[:after_wash]
          return say(:replace, :smells_after_wash) if @observed[:smell]
          return unless grey && grey >= STILL_GREY

          say(:replace, :grey_after_wash, grey: grey)
        end

        def indicator_full
          return unless @observed[:indicator_percent] && @observed[:indicator_percent] >= 100

          say(:replace, :indicator_full, confidence: :high)
        end

        def washed_out
          return unless @position.washable? && @background.wash_count >= policy.washes_in_a_life

          say(:replace, :washed_out, washed: @background.wash_count, life: policy.washes_in_a_life)
        end

        def dark
          return unless grey && grey >= DARK
          return say(:wash, :dark_washable) if @position.washable?
          return say(:replace, :dark_unknown, confidence: :low) if @position.water_unknown?

          say(:replace, :dark, confidence: :high)
        end

        def smelling
          return unless @observed[:smell]
          return say(:wash, :smell_washable) if @position.washable?
          return say(:replace, :smell_unknown, confidence: :low) if @position.water_unknown?

          say(:replace, :smell)
        end

        def greyed
          return unless grey && grey >= WORTH_A_WASH
          return say(:wash, :grey_washable, grey: grey) if @position.washable?
          return say(:clean, :grey_tap_out, grey: grey) if @position.tap_out

          say(:leave, :grey_not_full, grey: grey, confidence: :low)
        end

        def light
          return say(:clean, :tap_out, grey: grey) if grey&.positive? && @position.tap_out
          return say(:leave, :light, grey: grey) if grey
          return unless @observed[:indicator_percent]

          say(:leave, :indicator_left, percent: @observed[:indicator_percent], confidence: :high)
        end
      end
    end
  end
end
