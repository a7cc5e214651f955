# frozen_string_literal: true

module UprightBench
  module Core
    module Findings
      # Bin: cracked, or filled past the line. Haze inside a clear bin is wear, not dirt: it is left.
      class ReadBin < Reader
        CLAUSES = %i[cracked full hazed room_left].freeze

        private

        def cracked
          return unless @observed[:cracked]

          say(:replace, :bin_cracked, confidence: :high)
        end

        def full
          fill = @observed[:fill_percent]
          return unless fill && fill >= policy.bin_limit_percent

          say(:clean, :bin_full, fill: fill, limit: policy.bin_limit_percent)
        end

        def hazed
          return unless @observed[:haze]

          say(:leave, :bin_hazed, confidence: :high)
        end

        def room_left
          return unless @observed[:fill_percent]

          say(:leave, :bin_room_left, fill: @observed[:fill_percent])
        end
      end
    end
  end
end
