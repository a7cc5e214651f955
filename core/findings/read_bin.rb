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

          say(:replace, :bin_cracked, "Cracked: it leaks suction and dust.", confidence: :high)
        end

        def full
          fill = @observed[:fill_percent]
          return unless fill && fill >= policy.bin_limit_percent

          say(:clean, :bin_full, "#{fill} % full; empty at #{policy.bin_limit_percent} %, and always before the " \
                                 "filters are opened.")
        end

        def hazed
          return unless @observed[:haze]

          say(:leave, :bin_hazed, "The haze is wear from grit, not dirt: it does not wash off. Say so before the " \
                                  "customer asks.", confidence: :high)
        end

        def room_left
          return unless @observed[:fill_percent]

          say(:leave, :bin_room_left, "#{@observed[:fill_percent]} % full, below the line.")
        end
      end
    end
  end
end
