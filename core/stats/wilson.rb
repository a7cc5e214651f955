# frozen_string_literal: true

module UprightBench
  module Core
    module Stats
      # The score interval of a share (Wilson 1927; the interval recommended by Newcombe 1998 and Brown, Cai and
      # DasGupta 2001), which stays within 0 and 1 and says something even of few, or of none.
      class Wilson
        include Value

        fields :hits, :tries

        Z = 1.959964 # of the normal distribution, 95 % between it and its negative

        # @return [Float, nil] nil while nothing was tried
        def share
          hits / tries.to_f if tries.positive?
        end

        # @return [Float] 0 while nothing was tried
        def low
          tries.zero? ? 0.0 : [middle - half, 0.0].max
        end

        # @return [Float] 1 while nothing was tried
        def high
          tries.zero? ? 1.0 : [middle + half, 1.0].min
        end

        private

        def middle
          (hits + (Z * Z / 2)) / (tries + (Z * Z))
        end

        def half
          Z / (tries + (Z * Z)) * Math.sqrt((hits * (tries - hits) / tries.to_f) + (Z * Z / 4))
        end

        def check
          raise ArgumentError, "no more hits than tries" unless tries >= 0 && hits.between?(0, tries)
        end
      end
    end
  end
end
