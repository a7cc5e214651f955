# frozen_string_literal: true

module UprightBench
  module Core
    module Findings
      # How far gone a part should be by the calendar. Kept with the finding beside how far gone it was found: what is
      # learned about a household is drawn from both.
      module Wear
        MOST_EXPECTED = 1.5 # long overdue is no more than far gone

        module_function

        # @param started_on [Date, nil]
        # @param due_on [Date, nil]
        # @param today [Date]
        # @param personal [Numeric] factor that the interval was divided by: it is compared with what it would be
        #   without
        # @param load [Numeric, nil] how far gone it was found on `load_on`
        # @return [Float, nil] how far gone it should be by its clock; nil while nothing says so
        def expected(started_on:, due_on:, today:, personal: 1, load: nil, load_on: nil)
          begun = load ? load_on : started_on
          return unless begun && due_on && due_on > begun

          gone = load.to_f + ((today - begun) / (due_on - begun).to_f * (1 - load.to_f) / personal)
          gone.clamp(0.0, MOST_EXPECTED).round(2)
        end
      end
    end
  end
end
