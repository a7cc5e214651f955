# frozen_string_literal: true

module UprightBench
  module Core
    module Drying
      # The air of a room: temperature in °C and relative humidity in percent.
      #
      # Saturation pressure by the Magnus form with the constants of Alduchov and Eskridge (1996),
      # "Improved Magnus form approximation of saturation vapor pressure", J. Appl. Meteor. 35:
      # within 0.4 % over water from -40 to 50 °C.
      class Air
        include Value

        fields :temperature_c, :humidity_percent

        TEMPERATURES_C = (-20..50)
        MAGNUS_KPA = 0.61094
        MAGNUS_SLOPE = 17.625
        MAGNUS_OFFSET_C = 243.04

        # @return [Float] kPa
        def saturation_kpa
          MAGNUS_KPA * Math.exp(MAGNUS_SLOPE * temperature_c / (temperature_c + MAGNUS_OFFSET_C))
        end

        # @return [Float] kPa by which the air falls short of saturation: what draws the water out
        def deficit_kpa
          saturation_kpa * (1 - (humidity_percent / 100.0))
        end

        private

        def check
          raise ArgumentError, "temperature outside #{TEMPERATURES_C} °C" unless TEMPERATURES_C.cover?(temperature_c)
          raise ArgumentError, "humidity outside 0 to 100 %" unless (0..100).cover?(humidity_percent)
        end
      end
    end
  end
end
