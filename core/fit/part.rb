# frozen_string_literal: true

module UprightBench
  module Core
    module Fit
      # A part as the fit sees it. `stock` is what lies on the shelf now, free to be used; `reserved` lies there too,
      # for others. Attributes are what two parts of one size differ by; `needs` what the place must have for it (a
      # frame). `takes_out` names what comes out for it and goes back to the customer.
      # `contents` is what a box holds, as in Box. `successor_id` is the part that takes its place.
      class Part
        include Value

        fields :id, :number, :name, :kind,
          attributes: {}, needs: {}, measures: {}, contents: {}, takes_out: [], filter_class: nil, pattern: false,
          successor_id: nil,
          discontinued: false, price_cents: nil, life_months: nil, lead_days: nil, stock: 0, reserved: 0

        DEFAULT_LIFE_MONTHS = 12 # house rule, for comparing prices only

        # @return [Float, nil] cents a month of expected service
        def cents_a_month
          price_cents && (price_cents / (life_months || DEFAULT_LIFE_MONTHS).to_f)
        end

        def on_shelf?
          stock.positive?
        end

        # @return [Boolean] no more can be had
        def gone?
          discontinued && !on_shelf?
        end
      end
    end
  end
end
