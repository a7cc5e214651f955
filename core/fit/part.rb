# frozen_string_literal: true

module UprightBench
  module Core
    module Fit
      # A part as the fit sees it.
      # `stock` is what lies on the shelf now. Attributes are what two parts of one size differ by.
      class Part
        include Value

        fields :id, :number, :name, :kind,
               attributes: {}, measures: {}, filter_class: nil, pattern: false, price_cents: nil, life_months: nil, stock: 0

        DEFAULT_LIFE_MONTHS = 12 # house rule, for comparing prices only

        # @return [Float, nil] cents a month of expected service
        def cents_a_month
          price_cents && (price_cents / (life_months || DEFAULT_LIFE_MONTHS).to_f)
        end

        def on_shelf?
          stock.positive?
        end
      end
    end
  end
end
