# frozen_string_literal: true

module UprightBench
  module Screens
    module Machines
      # Another use of a machine, to see what it would do to its dates.
      class WhatIfForm < Form
        TRAITS = Core::Use::Household::WORDS.transform_keys(&:to_s).freeze

        takes do
          params do
            optional(:hours_per_week).maybe(:float, gteq?: 0, lteq?: 168)
            optional(:traits).array(:string, included_in?: TRAITS.keys)
          end
        end

        # @param machine [Models::Machine]
        def self.as_is(machine)
          blank("hours_per_week" => machine.hours_per_week && format("%g", machine.hours_per_week),
            "traits" => machine.traits.to_a)
        end

        # @return [Hash] as Services::WhatIf takes it
        def use
          { hours_per_week: values[:hours_per_week], traits: (values[:traits] || []).uniq }
        end
      end
    end
  end
end
