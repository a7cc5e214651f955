# frozen_string_literal: true

module UprightBench
  module Core
    module Findings
      # The shop's schools for reading a finding. Defaults are those of the trade that the product starts with.
      class Policy
        include Value

        fields bag_limit_percent: 50,       # common practice: at half full, squeezed
               bin_limit_percent: 66,       # common practice: at two thirds
               washes_in_a_life: 12,        # house rule
               battery_limit_percent: 60,   # house rule
               silicone: false,             # schools: dry, or a trace of silicone on a seal that binds
               belt_stretch_percent: 3.0,   # house rule
               length_unit: :mm,            # as the shop writes lengths: :mm or :inch
               service_interval_days: 365   # common practice: a year between visits
      end
    end
  end
end
