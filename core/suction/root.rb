# frozen_string_literal: true

module UprightBench
  module Core
    module Suction
      # Where a growing function is nought, by false position: the end that stays twice running counts half (the
      # Illinois method, from memory).
      class Root
        STEPS = 60 # at most; eight are usual
        CLOSE = 1e-7 # kPa that are nothing

        # @param low [Float]
        # @param high [Float]
        # @return [Float] the nearer end where the function is not nought between them
        def self.between(low, high, &)
          new(low, high, &).call
        end

        def initialize(low, high, &function)
          @low = low
          @high = high
          @function = function
          @below = function.call(low)
          @above = function.call(high)
        end

        def call
          return @low unless @below.negative?
          return @high unless @above.positive?

          STEPS.times do
            middle = @high - (@above * (@high - @low) / (@above - @below))
            value = @function.call(middle)
            return middle if value.abs < CLOSE

            value.negative? ? raise_low(middle, value) : lower_high(middle, value)
          end
          (@low + @high) / 2
        end

        private

        def raise_low(middle, value)
          @above /= 2 if @moved == :low
          @moved = :low
          @low = middle
          @below = value
        end

        def lower_high(middle, value)
          @below /= 2 if @moved == :high
          @moved = :high
          @high = middle
          @above = value
        end
      end
    end
  end
end
