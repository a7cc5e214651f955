# frozen_string_literal: true

require "csv"

module UprightBench
  module Formats
    # A CSV file as spreadsheets want it where the comma parts the decimals: semicolons between the fields, a comma in
    # numbers, and the mark at the start by which they see that it is UTF-8 (common practice). Which columns are numbers
    # their names say: a part number such as 104.25 is none.
    module ForSpreadsheet
      MARK = "\uFEFF"
      NUMBERS = %w[price cost cost_together packs rate net tax total amount rounding].freeze

      module_function

      # @param text [String] CSV as RFC 4180 has it, its columns named in the first line
      # @return [String]
      def semicolons(text)
        rows = CSV.parse(text)
        MARK + CSV.generate(col_sep: ";", row_sep: "\r\n") do |out|
          numbers = rows.first.to_a.map { |name| NUMBERS.include?(name) }
          rows.each { |row| out << row.zip(numbers).map { |cell, number| number ? cell&.tr(".", ",") : cell } }
        end
      end
    end
  end
end
