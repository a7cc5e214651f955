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
        # @!attribute look_again_days [Integer] until a place is looked at again of which nothing better is known
        # @!attribute factors [Hash{Symbol=>Float}] trait of a household => what an interval is multiplied by
        fields :use, :household, :today, factors: Use::Household::FACTORS, look_again_days: 365

        # What a household does to an interval: the factor; the figures of a reason, empty when nothing is shortened;
        # and a number made of these, the same in every process.
        Shortening = Struct.new(:factor, :figures, :mark)
        NONE = Shortening.new(1.0, {}.freeze, 0).freeze

        # @!attribute of_the_calendar, of_use
        #   @return [Shortening] of clocks that run by the calendar, and by hours of use
        # @!attribute rate
        #   @return [Float] hours a week, as near as it is told
        # @!attribute rate_mark
        #   @return [Integer] of that, the same in every process
        attr_reader :of_the_calendar, :of_use, :rate, :rate_mark

        private

        def check
          @of_the_calendar = shortening(household)
          @of_use = household.dirt.equal?(household) ? @of_the_calendar : shortening(household.dirt)
          @rate = use.mean.round(1)
          @rate_mark = (rate * 10).round
        end

        def shortening(household)
          factor = household.factor(factors)
          return NONE unless factor < 1

          figures = { household: factor.round(2), traits: household.traits }
          Shortening.new(factor, figures.freeze, Zlib.crc32(figures.values.join(" "))).freeze
        end
      end
    end
  end
end
