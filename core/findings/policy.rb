# frozen_string_literal: true

module UprightBench
  module Core
    module Findings
      # The shop rules by which a finding is read.
      class Policy
        include Value

        fields belt_stretch_percent: 3.0, # house rule
          service_interval_days: 365, # common practice: a year between two services
          seal_care: Policies::Table.default("seal_care").to_sym,
          length_unit: Policies::Table.default("length_unit").to_sym,
               **Policies::Table.defaults("bag_limit_percent", "bin_limit_percent", "washes_in_a_life",
                 "battery_limit_percent")
      end
    end
  end
end
