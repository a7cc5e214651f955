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

          say(:replace, :belt_cracked, confidence: :high)
        end

        def other_belt
          return unless stretch_percent && stretch_percent < OTHER_BELT_PERCENT

          say(:replace, :belt_too_short, nominal_mm: nominal, confidence: :low)
        end

        def stretched
          return unless stretch_percent && stretch_percent >= policy.belt_stretch_percent

          say(:replace, :belt_stretched, **stretch, confidence: :high)
        end

        def within
          return unless stretch_percent

          say(:leave, :belt_within, **stretch, confidence: :high)
        end

        def stretch
          { stretched: stretch_percent.to_f.round(1), limit: policy.belt_stretch_percent.to_f.round(1) }
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
