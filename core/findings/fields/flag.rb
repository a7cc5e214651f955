# frozen_string_literal: true

module UprightBench
  module Core
    module Findings
      module Fields
        # Something that is so, or not.
        class Flag < Field
          def sample_values
            [true]
          end
        end
      end
    end
  end
end
