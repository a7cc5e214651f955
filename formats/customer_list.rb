# frozen_string_literal: true

require "csv"

module UprightBench
  module Formats
    # Customers and their machines as CSV (RFC 4180), a machine a row and a customer without one a row, in the columns
    # that are read again.
    module CustomerList
      # Those that nobody else than a reader of other files needs.
      COLUMNS = (CustomerColumns::ALL.keys - %w[first_name last_name company]).freeze

      module_function

      # @param rows [Enumerable<Hash{Symbol=>Object}>] by column; Date, Boolean, number or text
      # @param semicolons [Boolean] as spreadsheets want it where the comma parts the decimals
      # @return [Enumerator<String>] line by line
      def lines(rows, semicolons: false)
        Enumerator.new do |out|
          sign = semicolons ? ";" : ","
          out << ((semicolons ? ForSpreadsheet::MARK : "") + line(COLUMNS, sign))
          rows.each { |row| out << line(COLUMNS.map { |column| cell(row[column.to_sym], semicolons) }, sign) }
        end
      end

      # What was left out of a file, as it came, with the reason in front.
      # @param headers [Array<String>]
      # @param rows [Enumerable<Hash>] line, cells, reason
      # @return [Enumerator<String>]
      def left_out(headers, rows)
        Enumerator.new do |out|
          out << line([*REASON, *headers], ",")
          rows.each { |row| out << line([row[:line], row[:reason], *row[:cells]].map { |text| Cell.safe(text) }, ",") }
        end
      end

      REASON = %w[line reason].freeze

      def line(cells, sign)
        CSV.generate_line(cells, col_sep: sign, row_sep: "\r\n")
      end

      def cell(value, semicolons)
        case value
        when true then "yes"
        when false then "no"
        when BigDecimal then semicolons ? value.to_s("F").tr(".", ",") : value.to_s("F")
        when Date then value.iso8601
        else Cell.safe(value)
        end
      end
      private_class_method :line, :cell
    end
  end
end
