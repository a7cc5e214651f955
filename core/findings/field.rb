# frozen_string_literal: true

module UprightBench
  module Core
    module Findings
      # Something that may be recorded at a kind of part. Each type of field is a class in fields/; a screen draws it
      # by the partial of the type's name.
      class Field
        include Value

        # @!attribute needs [String, nil] asked only where the sheet names this feature or measure
        fields needs: nil

        # @return [Symbol] :scale, :choice, :flag, :measure or :text
        def self.type
          @type ||= name.split("::").last.downcase.to_sym
        end

        def type
          self.class.type
        end

        # @return [Object, nil] what "it is fine" records here; nil for nothing
        def fine; end

        # @param unit [Symbol] how the shop writes lengths
        # @return [Object] a value as it would be typed
        def typed(value, unit:) # rubocop:disable Lint/UnusedMethodArgument
          value
        end

        # @param value [Object] as it is kept
        # @raise [ArgumentError] when it cannot be
        def check_value(value); end

        # @!method sample_values
        #   @return [Array] values that may be recorded, the least and the most among them
      end
    end
  end
end
