# frozen_string_literal: true

module UprightBench
  module Core
    module Money
      # The tax of one rate: on so much, so much. Percents are text, as they are set ("14.975").
      class TaxRow
        include Value

        fields :percent, :net_cents, :tax_cents
      end
    end
  end
end
