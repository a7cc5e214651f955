# frozen_string_literal: true

module UprightBench
  module Core
    module Money
      # How long a bill has been open, in the steps in which books list what is owed (common practice).
      module Age
        # days, up to => words; what is older comes last
        STEPS = { 30 => "up to 30 days", 60 => "31 to 60 days", 90 => "61 to 90 days", nil => "over 90 days" }.freeze

        module_function

        # @param days [Integer] since it was issued
        # @return [Integer, nil] a key of STEPS
        def step(days)
          STEPS.keys.compact.find { |most| days <= most }
        end
      end
    end
  end
end
