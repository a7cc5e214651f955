# frozen_string_literal: true

module UprightBench
  module Formats
    # A cell of a table that may be opened in a spreadsheet: text that would be taken for a formula is marked as text,
    # and the mark is taken off again when it comes back. Text that looks marked already gets one more.
    module Cell
      FORMULA = /\A'*[=+\-@\t\r]/
      MARKED = /\A'(?='*[=+\-@\t\r])/

      module_function

      def safe(cell)
        cell.is_a?(String) && cell.match?(FORMULA) ? "'#{cell}" : cell
      end

      def plain(cell)
        cell&.sub(MARKED, "")
      end
    end
  end
end
