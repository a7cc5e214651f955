# frozen_string_literal: true

require "csv"
require "bigdecimal"

module UprightBench
  module Formats
    # Parts and their prices as CSV (RFC 4180; a semicolon or a tab between the fields is understood too).
    #
    #   number,name,kind,maker,price,cost,supplier,lead_days,pack_pieces,life_months,filter_class,pattern,
    #     discontinued,successor,barcode,on_shelf (all in one line)
    #   HD-2010,Pre-motor filter Dart M,filter,Hallmoor,16.50,9.90,Harbor Parts Exchange,,1,12,,no,no,,2000046100236,5
    #
    # Only number is needed. Columns may be called otherwise, where somebody said what they are; those that nobody knows
    # are left aside. A column that is not there leaves its field as it is; an empty cell empties it, where the field
    # may be empty. A barcode that a spreadsheet has damaged is told and left as it is. on_shelf is written for reading
    # only: stock is moves, and is counted, not typed over.
    class PartList
      include PartCells

      COLUMNS = %w[number name kind maker price cost supplier lead_days pack_pieces life_months filter_class pattern
                   discontinued successor barcode on_shelf].freeze
      MOST = 50_000
      LONGEST = 200
      MOST_PROBLEMS = 100
      # column => field, how it is read
      FIELDS = { "name" => %i[name words], "kind" => %i[kind kind], "maker" => %i[maker words],
                 "price" => %i[price_cents money], "cost" => %i[cost_cents money],
                 "supplier" => %i[supplier words], "lead_days" => [:lead_days, 0..365],
                 "pack_pieces" => [:pack_pieces, 1..1000], "life_months" => [:life_months, 1..600],
                 "filter_class" => %i[filter_class filter_class], "pattern" => %i[pattern flag],
                 "discontinued" => %i[discontinued flag],
                 "successor" => %i[successor words], "barcode" => %i[barcode barcode] }.freeze
      USUAL = Core::Money::Currency.of(Core::Money::Currency::USUAL)
      NEEDED = %i[name kind price_cents].freeze # may not be emptied
      # What an empty cell means; nothing for the others
      EMPTY = { pack_pieces: 1, pattern: false, discontinued: false }.freeze

      # @param parts [Array<Hash{Symbol=>Object}>] number, the fields of FIELDS, and on_shelf
      # @param currency [Core::Money::Currency]
      # @return [String]
      def self.write(parts, currency: USUAL)
        CSV.generate(row_sep: "\r\n") do |out|
          out << COLUMNS
          parts.each { |part| out << COLUMNS.map { |column| Cell.safe(cell(part, column, currency)) } }
        end
      end

      def self.cell(part, column, currency)
        field, type = FIELDS.fetch(column, [column.to_sym])
        value = part[field]
        return value && currency.plain(value) if type == :money

        type == :flag ? FLAGS.key(value) : value
      end
      private_class_method :cell

      KNOWN = "The columns are #{COLUMNS.join(', ')}.".freeze
      private_constant :KNOWN

      # @return [Array<String>] columns that are left aside
      attr_reader :aside

      # @return [Array<String>] what was left out of a line, without refusing the rest
      attr_reader :told

      # @param source [String, File] UTF-8
      # @param columns [Hash{String=>String}] theirs => ours, or empty for what is left aside
      # @param fixed [Hash{String=>String}] our column => what all lines have, where there is no such column
      # @param currency [Core::Money::Currency] that its prices are in
      def initialize(source, columns: {}, fixed: {}, currency: USUAL)
        @source = source
        @columns = columns
        @fixed = fixed
        @currency = currency
        @problems = []
        @told = []
        @aside = []
      end

      # @return [Array<Hash{Symbol=>Object}>] line (in the file), number, and the fields of the columns that are there
      # @raise [Unmapped] where no column is known to be the number
      # @raise [Malformed] with every problem, each naming its line; with the first hundred where there are more
      def call
        rows = CsvRows.new(@source, most: MOST).call { |headers| check(headers) }
          .map { |row, line| read(ours(row), line) }
        twice(rows)
        @problems << "The list is empty." if rows.empty? && @problems.empty?
        raise Malformed, @problems if @problems.any?

        rows
      end

      private

      def check(headers)
        meant = headers.to_h { |name| [name, ours_of(name)] }
        unless meant.value?("number")
          raise Unmapped.new(headers.reject(&:empty?), ["Line 1: there is no column number. #{KNOWN}"])
        end

        @aside = meant.reject { |name, column| name.empty? || column }.keys
        refuse_double(headers.filter_map { |name| meant[name] })
      end

      def refuse_double(columns)
        double = columns.tally.select { |_, count| count > 1 }.keys
        refuse("the column #{double.join(', ')} stands twice.") if double.any?
      end

      # @return [String, nil] which of our columns one of theirs is; nil for one that is left aside
      def ours_of(name)
        column = @columns.fetch(name, name)
        column if COLUMNS.include?(column)
      end

      def ours(row)
        { **@fixed, **row.transform_keys { |name| ours_of(name) }.except(nil) }
      end

      def refuse(words)
        raise Malformed, ["Line 1: #{words}"]
      end

      def read(row, line)
        number = row["number"].to_s.upcase
        say(line, "number is missing") if number.empty?
        unless number.empty? || number.match?(%r{\A[A-Z0-9][A-Z0-9./-]{0,39}\z})
          say(line, "number may have letters, digits, dots, dashes and slashes, up to 40")
        end
        FIELDS.each_with_object({ line: line, number: number }) do |(column, (field, type)), part|
          next if !row.key?(column) || (column == "barcode" && damaged?(row[column], line))

          part[field] = value(row[column], column, field, type, line)
        end
      end

      # As a spreadsheet writes a long number that it took for a figure.
      DAMAGED = /\A\d(?:[.,]\d+)?E\+\d+\z/i
      private_constant :DAMAGED

      def damaged?(barcode, line)
        return false unless barcode.to_s.match?(DAMAGED)

        @told << "Line #{line}: barcode #{barcode} was damaged by a spreadsheet, and is left as it is on file." if
          @told.size < MOST_PROBLEMS
        true
      end

      def value(text, column, field, type, line)
        return NEEDED.include?(field) ? say(line, "#{column} may not be empty") : EMPTY[field] if text.nil?
        return say(line, "#{column} is too long") if text.length > LONGEST

        type.is_a?(Range) ? whole(text, column, type, line) : send(type, text, column, line)
      end

      def twice(rows)
        { number: "number", barcode: "barcode" }.each do |field, words|
          rows.reject { |row| row[field].to_s.empty? }.group_by { |row| row[field] }.each_value do |same|
            say(same[1][:line], "#{words} #{same[1][field]} stands on line #{same[0][:line]} already") if same.size > 1
          end
        end
      end

      # @raise [Malformed] when there are more than anybody would read
      def say(line, words)
        @problems << "Line #{line}: #{words}."
        raise Malformed, @problems + ["There may be more: it was read no further."] if @problems.size == MOST_PROBLEMS

        nil
      end
    end
  end
end
