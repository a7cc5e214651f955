# frozen_string_literal: true

require_relative "serving"

module UprightBench
  module Gauge
    # A scale that is not there, with something on it. It may be told what is laid on it:
    #
    #   lay 182.5
    class Scale
      include Serving

      STEP = 0.1 # grams that it shows
      REST = 0.4 # of the way to a new weight that is left after each line

      # @param grams [Numeric] what lies on it
      def initialize(grams: 64.2)
        @grams = grams
        @shown = 0.0
      end

      def told(line)
        laid = line.to_s[/\Alay (\d{1,5}(?:\.\d)?)\s*\z/, 1]
        @grams = laid.to_f if laid
      end

      # @return [String] as in "64.2 g"
      def line
        @shown = @grams + ((@shown - @grams) * REST)
        format("%<grams>.1f g", grams: (@shown / STEP).round * STEP)
      end
    end
  end
end
