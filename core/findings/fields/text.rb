# frozen_string_literal: true

module UprightBench
  module Core
    module Findings
      module Fields
        # A few words.
        class Text < Field
          MOST_LETTERS = 200

          def check_value(value)
            return if value.is_a?(String) && value.length <= MOST_LETTERS

            raise ArgumentError, "a text has at most #{MOST_LETTERS} letters"
          end

          def sample_values
            ["a coin"]
          end
        end
      end
    end
  end
end
