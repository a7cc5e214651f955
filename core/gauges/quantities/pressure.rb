# frozen_string_literal: true

module UprightBench
  module Core
    module Gauges
      module Quantities
        # Suction. 1 inH₂O at 20 °C = 248.66 Pa (ASTM F558's customary inch, from memory); 1 mmHg = 133.322 Pa (SI
        # brochure, 8th edition, table 8); 1 mbar = 100 Pa.
        Pressure = Quantity.new(
          key: :pressure, unit: "kPa",
          units: { "kpa" => 1.0, "pa" => 0.001, "mbar" => 0.1, "hpa" => 0.1, "inh2o" => 0.24866, "inh₂o" => 0.24866,
                   "mmhg" => 0.133322 },
          range: 0..60, # no vacuum cleaner goes beyond
          least: 0.1, minus: true
        )
      end
    end
  end
end
