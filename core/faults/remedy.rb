# frozen_string_literal: true

module UprightBench
  module Core
    module Faults
      # What is done about a fault, as its finding says; a setting is set right.
      module Remedy
        SET = :set
        WORDS = { SET => "set it right, and show the customer", clean: "clean it", wash: "wash it",
                  replace: "fit a new part", refer: "stop, and refer it" }.freeze

        module_function

        # @param sheet [Sheets::Sheet]
        # @param cause [Cause]
        # @return [Symbol] of WORDS
        def of(sheet, cause)
          return SET if cause.place.nil?

          Findings::Read.new(position: sheet.position(cause.place), observed: cause.fault.observed,
            background: Findings::Background.new).call.kind
        end
      end
    end
  end
end
