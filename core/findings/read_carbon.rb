# frozen_string_literal: true

module UprightBench
  module Core
    module Findings
      # Carbon brushes of a motor: sparking stops; short ones are replaced, cheap against a motor (common practice).
      class ReadCarbon < Reader
        CLAUSES = %i[sparking short long_enough].freeze
        LEAST_SHARE = 1 / 3.0 # of the length when new, where the sheet gives no least length (house rule)

        private

        def sparking
          return unless @observed[:sparks]

          say(:refer, :carbon_sparks, confidence: :high, stop: true)
        end

        def short
          return unless left && least && left <= least

          say(:replace, :carbon_short, left_mm: left, least_mm: least, confidence: :high)
        end

        def long_enough
          return unless left
          return say(:leave, :carbon_unknown, left_mm: left, confidence: :low) unless least

          say(:leave, :carbon_left, left_mm: left, least_mm: least, confidence: :high)
        end

        def left
          @observed[:length_mm]
        end

        def least
          fresh = @position.measures["new_length_mm"]
          @position.measures["least_length_mm"] || (fresh && (fresh * LEAST_SHARE))
        end
      end
    end
  end
end
