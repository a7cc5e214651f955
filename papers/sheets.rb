# frozen_string_literal: true

module UprightBench
  module Papers
    # The sheets that a shop prints on: ISO 216, or those of North America (ANSI/ASME Y14.1), whole and halved.
    module Sheets
      MM = { "a4" => { whole: [210, 297], half: [148, 210] },
             "letter" => { whole: [215.9, 279.4], half: [139.7, 215.9] } }.freeze
      USUAL = "a4"

      module_function

      # @param sheets [String] a key of MM
      # @param part [Symbol] :whole or :half
      # @return [Array(Numeric, Numeric)] mm
      # @raise [KeyError]
      def mm(sheets, part)
        MM.fetch(sheets).fetch(part)
      end
    end
  end
end
