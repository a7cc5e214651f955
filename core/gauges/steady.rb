# frozen_string_literal: true

module UprightBench
  module Core
    module Gauges
      # The value on which a gauge has come to rest: all that it showed for two seconds lies within its error.
      class Steady
        SECONDS = 2.0
        LEAST_LINES = 4 # fewer in that time say nothing of rest

        # @param shown [Array<Array(Float, Shown)>] seconds ago and what was shown then, in any order
        # @param error_percent [Numeric] of the gauge
        def initialize(shown, error_percent)
          @shown = shown
          @error_percent = error_percent
        end

        # @return [Float, nil] their mean; nil while it moves, or when it was not heard for long enough
        def value
          return if @shown.none? { |ago, _| ago >= SECONDS } || late.size < LEAST_LINES || late.uniq(&:what).size > 1

          least, most = late.map(&:value).minmax
          mean if most - least <= 2 * error(late.first.what)
        end

        private

        # @return [Array<Shown>] of the last two seconds
        def late
          @late ||= @shown.select { |ago, _| ago <= SECONDS }.map(&:last)
        end

        def mean
          late.sum(&:value) / late.size
        end

        # Either way, so that the range is twice that.
        def error(what)
          [mean * @error_percent / 100.0, Quantities.fetch(what).least].max
        end
      end
    end
  end
end
