# frozen_string_literal: true

module UprightBench
  module Core
    module Suction
      # How heavy the air is. At the same speed a fan's suction grows with it, while its flow stays (fan laws), so that
      # a reading of a pressure is brought to standard air before it is compared.
      module AirDensity
        STANDARD = 1.2041 # kg/m³: dry, 20 °C, 101.325 kPa (International Standard Atmosphere at 20 °C)
        USUAL = { celsius: 20.0, kpa: 101.325, humidity_percent: 50.0 }.freeze
        DRY = 287.05 # J/(kg·K), dry air and water vapour (handbook values, from memory)
        VAPOUR = 461.5
        KELVIN = 273.15

        module_function

        # @param celsius [Numeric, nil] what is not known is as usual
        # @param kpa [Numeric, nil] of the air outside, not brought down to the sea
        # @param humidity_percent [Numeric, nil]
        # @return [Float] kg/m³: the sum of what dry air and vapour weigh
        def kg_m3(celsius: nil, kpa: nil, humidity_percent: nil)
          celsius ||= USUAL.fetch(:celsius)
          humidity_percent ||= USUAL.fetch(:humidity_percent)
          room = Drying::Air.new(temperature_c: celsius, humidity_percent: humidity_percent)
          vapour = humidity_percent / 100.0 * room.saturation_kpa
          dry = (kpa || USUAL.fetch(:kpa)) - vapour
          ((dry / DRY) + (vapour / VAPOUR)) * 1000 / (celsius + KELVIN)
        end

        # @param value [Numeric] as it was read
        # @param what [Symbol] :pressure or :flow
        # @param air_kg_m3 [Numeric, nil] nil where it is not known
        # @return [Float] what it would be in standard air
        def standard(value, what, air_kg_m3)
          return value if air_kg_m3.nil? || what == :flow

          value * STANDARD / air_kg_m3
        end
      end
    end
  end
end
