# frozen_string_literal: true

module UprightBench
  module Core
    module Findings
      # Belt: any crack, or stretched past the limit. A belt costs little: when in doubt, replace.
      class ReadBelt < Reader
        CLAUSES = %i[cracked other_belt stretched within].freeze
        OTHER_BELT_PERCENT = -1.5 # shorter than this is not the belt of this machine (house rule)

        private

        def cracked
          return unless @observed[:cracked]

          say(:replace, :belt_cracked, "Cracked, glazed or torn.", confidence: :high)
        end

        def other_belt
          return unless stretch_percent && stretch_percent < OTHER_BELT_PERCENT

          say(:replace, :belt_too_short, "Shorter than the belt of this model (#{length(nominal)}): not the right " \
                                         "belt.", confidence: :low)
        end

        def stretched
          return unless stretch_percent && stretch_percent >= policy.belt_stretch_percent

          say(:replace, :belt_stretched, format("Stretched %<now>.1f %%; the limit is %<limit>.1f %%.",
            now: stretch_percent, limit: policy.belt_stretch_percent),
            confidence: :high)
        end

        def within
          return unless stretch_percent

          say(:leave, :belt_within, format("Stretched %<now>.1f %%, below the limit of %<limit>.1f %%.",
            now: stretch_percent, limit: policy.belt_stretch_percent), confidence: :high)
        end

        def nominal
          @position.measures["length_mm"]
        end

        def stretch_percent
          return unless nominal && @observed[:length_mm]

          (@observed[:length_mm] - nominal) * 100.0 / nominal
        end
      end
    end
  end
end
