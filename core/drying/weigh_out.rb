# frozen_string_literal: true

module UprightBench
  module Core
    module Drying
      # Is it dry by its weight? A part that was weighed dry, before the wash, is dry again when it weighs as much,
      # within a hundredth (house rule). That ends the clock early, but never before the hours of the maker.
      class WeighOut
        WITHIN = 0.01
        STEP_GRAMS = 0.5 # what kitchen and letter scales cannot tell apart (common practice)

        # @param dry_grams [Numeric] before the wash
        # @param grams [Numeric] now
        def initialize(dry_grams, grams)
          @dry = dry_grams
          @now = grams
        end

        # @return [Boolean]
        def dry?
          water_grams <= [@dry * WITHIN, STEP_GRAMS].max
        end

        # @return [Float] that is still in it; 0 when it weighs less than before, as dust is gone
        def water_grams
          [@now - @dry, 0].max.to_f
        end

        # @return [Boolean] so much lighter that it is another part, or stands on something
        def unlikely?
          @now < @dry * 0.5
        end
      end
    end
  end
end
