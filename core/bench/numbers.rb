# frozen_string_literal: true

module UprightBench
  module Core
    module Bench
      # A row of numbers that looks thrown and is always the same for the same beginning, so that equal questions have
      # equal answers: the linear congruential generator MMIX of D. E. Knuth (The Art of Computer Programming 2, 3.3.4,
      # table 1), of whose bits the upper ones are used.
      class Numbers
        FACTOR = 6_364_136_223_846_793_005
        SUMMAND = 1_442_695_040_888_963_407
        MASK = (2**64) - 1

        # @param seed [Integer]
        def initialize(seed)
          @state = seed
          3.times { below(2) }
        end

        # @return [Integer] from 0 to just below a number
        def below(number)
          @state = ((@state * FACTOR) + SUMMAND) & MASK
          ((@state >> 33) * number) >> 31
        end
      end
    end
  end
end
