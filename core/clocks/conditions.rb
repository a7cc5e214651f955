# frozen_string_literal: true

require "zlib"

module UprightBench
  module Core
    module Clocks
      # What all clocks of one machine run by: how much it is used, what its household does to it, and what day it is.
      # What follows from these is worked out once, and not for each of its tasks.
      class Conditions
        include Value

        # @!attribute use [Use::Rate]
        # @!attribute household [Use::Household]
        # @!attribute today [Date]
        # @!attribute factors [Hash{Symbol=>Float}] trait of a household => what an interval is multiplied by
        fields :use, :household, :today, factors: Use::Household::FACTORS

        # @!attribute household_factor
        #   @return [Float] on what the household shortens
        # @!attribute household_words
        #   @return [String] as in " × 0.75 (pets that shed)"; empty when nothing is shortened
        # @!attribute rate_words
        #   @return [String] as in " at 1.0 h a week"
        # @!attribute household_mark, rate_mark
        #   @return [Integer] of these words, the same in every process
        attr_reader :household_factor, :household_words, :rate_words, :household_mark, :rate_mark

        private

        def check
          @household_factor = household.factor(factors)
          @household_words = if household_factor < 1
                               format(" × %<factor>.2f (%<why>s)", factor: household_factor, why: household.words)
                             else
                               ""
                             end
          @rate_words = format(" at %<rate>.1f h a week", rate: use.mean)
          @household_mark = Zlib.crc32(@household_words)
          @rate_mark = Zlib.crc32(@rate_words)
        end
      end
    end
  end
end
