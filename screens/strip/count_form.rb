# frozen_string_literal: true

module UprightBench
  module Screens
    module Strip
      # How many of each piece were counted, as typed.
      module CountForm
        module_function

        # @param typed [Object] piece => text
        # @return [Hash{String=>Integer}, nil] nil when nothing was typed: all are there; -1 for what is no number
        def read(typed)
          return unless typed.is_a?(Hash)

          filled = typed.reject { |_, text| text.is_a?(String) && text.strip.empty? }
          filled.transform_values { |text| text.to_s.strip.match?(/\A\d{1,4}\z/) ? text.to_i : -1 } if filled.any?
        end
      end
    end
  end
end
