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
        # @!attribute shortening
        #   @return [Hash{Symbol=>Object}] figures of a reason: that factor, and the traits; empty when nothing is
        #     shortened
        # @!attribute rate
        #   @return [Float] hours a week, as near as it is told
        # @!attribute shortening_mark, rate_mark
        #   @return [Integer] of these figures, the same in every process
        attr_reader :household_factor, :shortening, :rate, :shortening_mark, :rate_mark

        private

        def check
          @household_factor = household.factor(factors)
          @shortening = shorten.freeze
          @rate = use.mean.round(1)
          @shortening_mark = Zlib.crc32(shortening.values.join(" "))
          @rate_mark = (rate * 10).round
        end

        def shorten
          household_factor < 1 ? { household: household_factor.round(2), traits: household.traits } : {}
        end
      end
    end
  end
end
