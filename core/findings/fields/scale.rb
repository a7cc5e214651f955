# frozen_string_literal: true

module UprightBench
  module Core
    module Findings
      module Fields
        # A number in steps, as grey from 0 to 5. Some steps have words.
        class Scale < Field
          include Value

          fields :options, needs: nil

          def sample_values
            options
          end
        end
      end
    end
  end
end
