# frozen_string_literal: true

require "csv"

module UprightBench
  module Formats
    # The rows of a CSV text (RFC 4180; a semicolon or a tab between the fields is understood too) whose first line names its
    # columns, whatever their order and case. Blank rows are left out.
    class CsvRows
      SEPARATORS = [",", ";", "\t"].freeze

      # @param text [String] UTF-8
      def initialize(text)
        @text = text.delete_prefix("\uFEFF")
      end

      # @yieldparam headers [Array<String>] once, to be checked
      # @return [Array<Array(Hash{String=>String}, Integer)>] cells by column, nil where empty, and the line it begins on
      # @raise [Bad] when the text is no CSV
      def call
        (head,), *rows = lines.to_a
        headers = head.to_a.map { |name| name.to_s.strip.downcase.tr(" ", "_") }
        yield headers
        rows.filter_map { |cells, line| row(headers, cells, line) }
      rescue CSV::MalformedCSVError => e
        raise Bad, ["Line #{e.line_number}: #{e.message.sub(/ in line \d+\.?\z/, '')}."]
      end

      private

      def row(headers, cells, line)
        cells = headers.zip(cells).to_h { |name, cell| [name, plain(cell)] }
        [cells, line] unless cells.values.all?(&:nil?)
      end

      def plain(cell)
        text = Cell.plain(cell.to_s.strip)
        text unless text.empty?
      end

      # A row may go over several lines of the file.
      def lines
        csv = CSV.new(@text, col_sep: SEPARATORS.max_by { |sign| @text.lines.first.to_s.count(sign) })
        Enumerator.new do |out|
          line = 1
          while (cells = csv.shift)
            out << [cells, line]
            line += csv.line.scan(/\r\n|\r|\n/).size
          end
        end
      end
    end
  end
end
