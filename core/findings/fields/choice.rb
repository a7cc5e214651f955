# frozen_string_literal: true

module UprightBench
  module Core
    module Findings
      module Fields
        # One word of a list, the good one first.
        class Choice < Field
          include Value

          fields :options, needs: nil

          def fine
            options.first
          end

          def sample_values
            options
          end
        end
      end
    end
  end
end
