# frozen_string_literal: true

module UprightBench
  module Core
    module Suction
      # Suction and flow as gauges write them, kept in kilopascals and litres a second.
      #
      #   Quantity.parse("80 inH2O", :pressure)  # => 19.893
      #   Quantity.parse("65,5", :flow)          # => 65.5: without a unit, ours are meant
      #
      # Factors: 1 inH₂O at 20 °C = 248.66 Pa (ASTM F558's customary inch, from memory); 1 mmHg = 133.322 Pa (SI
      # brochure, 8th edition, table 8); 1 mbar = 100 Pa and 1 CFM = 0.3048³ m³ in a minute, exactly.
      module Quantity
        CFM_L_S = (0.3048**3) * 1000 / 60
        UNITS = {
          pressure: { "kpa" => 1.0, "pa" => 0.001, "mbar" => 0.1, "hpa" => 0.1, "inh2o" => 0.24866, "inh₂o" => 0.24866,
                      "mmhg" => 0.133322 },
          flow: { "l/s" => 1.0, "m3/h" => 1 / 3.6, "m³/h" => 1 / 3.6, "cfm" => CFM_L_S, "l/min" => 1 / 60.0 }
        }.freeze
        OURS = { pressure: "kPa", flow: "L/s" }.freeze
        RANGES = { pressure: 0..60, flow: 0..200 }.freeze # no vacuum cleaner goes beyond
        WRITTEN = %r{\A\s*[-−]?(?<number>\d+(?:[.,]\d+)?)\s*(?<unit>[a-zA-Z₂³/0-9]*)\s*\z}

        module_function

        # @param text [String] a number, with its unit or without; a minus, as suction gauges write it, is left aside
        # @param what [Symbol] :pressure or :flow
        # @return [Float, nil] kPa or L/s; nil when it is none, or beyond what there is
        def parse(text, what)
          found = WRITTEN.match(text.to_s[0, 40]) or return
          unit = found[:unit].empty? ? OURS.fetch(what).downcase : found[:unit].downcase
          factor = UNITS.fetch(what)[unit] or return
          value = found[:number].tr(",", ".").to_f * factor
          value if RANGES.fetch(what).cover?(value)
        end

        # @return [String] as in "12.3 kPa"
        def words(value, what)
          "#{Units::Figure.words(value.round(1))} #{OURS.fetch(what)}"
        end
      end
    end
  end
end
