# frozen_string_literal: true

module UprightBench
  module Services
    # What was entered cannot be taken: one or more sentences for each field.
    class Invalid < Error
      attr_reader :errors

      # @param errors [Hash{Symbol=>Array<String>}]
      def initialize(errors)
        @errors = errors
        super(errors.values.flatten.join(" "))
      end
    end
  end
end
