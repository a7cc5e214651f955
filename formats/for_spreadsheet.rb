# frozen_string_literal: true

require "csv"

module UprightBench
  module Formats
    # A CSV file as spreadsheets want it where the comma parts the decimals: semicolons between the fields, a comma in
    # sums, and the mark at the start by which they see that it is UTF-8 (common practice).
    module ForSpreadsheet
      MARK = "\uFEFF"
      SUM = /\A-?\d+\.\d{1,2}\z/

      module_function

      # @param text [String] CSV as RFC 4180 has it
      # @return [String]
      def semicolons(text)
        rows = CSV.parse(text)
        MARK + CSV.generate(col_sep: ";", row_sep: "\r\n") do |out|
          rows.each { |row| out << row.map { |cell| cell&.match?(SUM) ? cell.tr(".", ",") : cell } }
        end
      end
    end
  end
end
