# frozen_string_literal: true

module UprightBench
  module Core
    module Gauges
      module Quantities
        # Air. 1 CFM = 0.3048³ m³ in a minute, exactly.
        Flow = Quantity.new(
          key: :flow, unit: "L/s",
          units: { "l/s" => 1.0, "m3/h" => 1 / 3.6, "m³/h" => 1 / 3.6, "cfm" => (0.3048**3) * 1000 / 60,
                   "l/min" => 1 / 60.0 },
          range: 0..200, # no vacuum cleaner goes beyond
          least: 0.2, minus: true
        )
      end
    end
  end
end
