# frozen_string_literal: true

require_relative "serving"

module UprightBench
  module Gauge
    # A thermometer of a drying room that is not there: warm in the afternoon, damp in the early morning, and damper on
    # some nights than on others.
    class Room
      include Serving

      EVERY_SECONDS = 2.0
      DAY = 86_400.0
      DAMP_NIGHT = 4 # one of so many

      # @param clock [#call] => Time
      # @param random [Random]
      def initialize(clock: -> { Time.now }, random: Random.new)
        @clock = clock
        @random = random
      end

      # @return [String] as in "T 20.8 H 54.2"
      def line
        temperature, humidity = at(@clock.call)
        format("T %<temperature>.1f H %<humidity>.1f", temperature: temperature + tremble(0.1),
          humidity: humidity + tremble(0.4))
      end

      # @param time [Time]
      # @return [Array(Float, Float)] °C and %
      def at(time)
        share = (time.to_i % DAY) / DAY
        warmth = Math.sin((share - 0.375) * 2 * Math::PI) # highest at three in the afternoon
        damp = (time.to_i / DAY).floor % DAMP_NIGHT == 1 ? 18 : 7
        [20.8 + (1.5 * warmth), 49 - (damp * warmth)]
      end

      private

      def every_seconds
        EVERY_SECONDS
      end

      def tremble(most)
        (@random.rand - 0.5) * 2 * most
      end
    end
  end
end
