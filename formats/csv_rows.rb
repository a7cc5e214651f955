# frozen_string_literal: true

require "csv"
require "stringio"

module UprightBench
  module Formats
    # The rows of a CSV (RFC 4180; a semicolon or a tab between the fields is understood too) whose first line names
    # its columns, whatever their order and case. A line before it may say the sign, as spreadsheets write it ("sep=;").
    # Blank rows are left out. Read row by row, however long it is, and
    # within bounds: what is larger than any list is refused where it stands.
    class CsvRows
      SEPARATORS = [",", ";", "\t"].freeze
      MOST_COLUMNS = 60
      LONGEST_CELL = 4_000 # letters; a quote that is never closed swallows no more
      LONGEST_LINE = 64 * 1024 # bytes of the first one that are looked at

      # @param source [String, File] UTF-8; a file is read piece by piece
      # @param most [Integer] rows
      def initialize(source, most:)
        @source = source.is_a?(String) ? StringIO.new(source.delete_prefix("\uFEFF")) : source
        @most = most
      end

      # @yieldparam headers [Array<String>] once, to be checked
      # @return [Array<Array(Hash{String=>String}, Integer)>] cells by column, nil where empty, and the line it begins
      #   on
      # @raise [Malformed] when it is no CSV, or beyond a bound
      def call
        headers = nil
        rows = []
        each(->(named) { yield headers = named }) { |cells, line| rows << [headers.zip(cells).to_h, line] }
        rows
      end

      # Row by row, for a list that is too long to be held.
      # @param check [#call] is given the headers, once
      # @yieldparam cells [Array<String, nil>] one for each header
      # @yieldparam line [Integer]
      # @raise [Malformed]
      def each(check)
        headers = nil
        count = 0
        lines do |cells, line|
          next check.call(headers = named(cells)) if headers.nil?

          read = headers.each_index.map { |index| plain(cells[index], line) }
          next if read.all?(&:nil?)
          raise Malformed, ["The list has more than #{@most} rows; at most #{@most} at once."] if count == @most

          count += 1
          yield read, line
        end
        check.call([]) if headers.nil?
      end

      private

      def named(cells)
        cells.map { |name| name.to_s.strip.downcase.tr(" ", "_")[0, 80] }
      end

      def plain(cell, line)
        text = Cell.plain(cell.to_s.strip)
        raise Malformed, ["Line #{line}: a cell has more than #{LONGEST_CELL} letters."] if text.length > LONGEST_CELL

        text unless text.empty?
      end

      # A row may go over several lines of the file.
      def lines
        sign = said_separator
        line = sign ? 2 : 1
        csv = CSV.new(@source, col_sep: sign || separator, field_size_limit: LONGEST_CELL)
        while (cells = csv.shift)
          if cells.size > MOST_COLUMNS
            raise Malformed, ["Line #{line}: there are #{cells.size} columns; at most #{MOST_COLUMNS}."]
          end

          yield cells, line
          line += csv.line.scan(/\r\n|\r|\n/).size
        end
      rescue CSV::MalformedCSVError => e
        raise Malformed, ["Line #{e.line_number}: #{e.message.sub(/ in line \d+\.?\z/, '')}."]
      end

      # @return [String, nil] the sign that the list says itself; its line is read past then
      def said_separator
        start = @source.pos
        sign = @source.gets(LONGEST_LINE).to_s[/\Asep=([,;\t])\r?\n\z/, 1]
        @source.seek(start) unless sign
        sign
      end

      # The sign that the first line has most of.
      def separator
        start = @source.pos
        first = @source.gets(LONGEST_LINE).to_s
        @source.seek(start)
        SEPARATORS.max_by { |sign| first.count(sign) }
      end
    end
  end
end
