# frozen_string_literal: true

module UprightBench
  module Core
    module Policies
      # A shop rule that is one of several ways of working.
      class Choice
        include Value

        # @!attribute options [Hash{String=>String}] value => words
        fields :key, :group, :label, :options, :default, hint: nil

        # @return [String]
        def words(value, _sign = nil)
          options.fetch(value)
        end

        private

        def check
          raise ArgumentError, "#{key} has no option #{default}" unless options.key?(default)
        end
      end
    end
  end
end
