# frozen_string_literal: true

module UprightBench
  module Core
    module Gauges
      module Quantities
        # The mass that a scale shows. 1 lb = 453.59237 g and 1 oz = 1/16 lb, exactly (international yard and pound,
        # 1959). Below zero nobody has tared it.
        Mass = Quantity.new(
          key: :mass, unit: "g",
          units: { "g" => 1.0, "kg" => 1000.0, "lb" => 453.59237, "oz" => 453.59237 / 16 },
          range: 0..20_000, # nothing that is washed weighs more
          least: Drying::WeighOut::STEP_GRAMS, minus: false
        )
      end
    end
  end
end
