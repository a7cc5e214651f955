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
    # Only number is needed. A column that is not there leaves its field as it is; an empty cell empties it, where the
    # field may be empty. on_shelf is written for reading only: stock is moves, and is counted, not typed over.
    class PartList
      COLUMNS = %w[number name kind maker price cost supplier lead_days pack_pieces life_months filter_class pattern
                   discontinued successor barcode on_shelf].freeze
      MOST = 50_000
      LONGEST = 200
      MOST_PROBLEMS = 100
      FLAGS = { "yes" => true, "no" => false }.freeze
      # column => field, how it is read
      FIELDS = { "name" => %i[name words], "kind" => %i[kind kind], "maker" => %i[maker words],
                 "price" => %i[price_cents money], "cost" => %i[cost_cents money],
                 "supplier" => %i[supplier words], "lead_days" => [:lead_days, 0..365],
                 "pack_pieces" => [:pack_pieces, 1..1000], "life_months" => [:life_months, 1..600],
                 "filter_class" => %i[filter_class filter_class], "pattern" => %i[pattern flag],
                 "discontinued" => %i[discontinued flag],
                 "successor" => %i[successor words], "barcode" => %i[barcode barcode] }.freeze
      NEEDED = %i[name kind price_cents].freeze # may not be emptied
      # What an empty cell means; nothing for the others
      EMPTY = { pack_pieces: 1, pattern: false, discontinued: false }.freeze
      KIND = /\A[a-z][a-z_]{0,39}\z/

      # @param parts [Array<Hash{Symbol=>Object}>] number, the fields of FIELDS, and on_shelf
      # @return [String]
      def self.write(parts)
        CSV.generate(row_sep: "\r\n") do |out|
          out << COLUMNS
          parts.each { |part| out << COLUMNS.map { |column| Cell.safe(cell(part, column)) } }
        end
      end

      def self.cell(part, column)
        field, type = FIELDS.fetch(column, [column.to_sym])
        value = part[field]
        return value && format("%.2f", value/100r) if type == :money

        type == :flag ? FLAGS.key(value) : value
      end
      private_class_method :cell

      KNOWN = "The columns are #{COLUMNS.join(', ')}.".freeze
      private_constant :KNOWN

      # @param source [String, File] UTF-8
      def initialize(source)
        @source = source
        @problems = []
      end

      # @return [Array<Hash{Symbol=>Object}>] line (in the file), number, and the fields of the columns that are there
      # @raise [Malformed] with every problem, each naming its line; with the first hundred where there are more
      def call
        rows = CsvRows.new(@source, most: MOST).call { |headers| check(headers) }.map { |row, line| read(row, line) }
        twice(rows)
        @problems << "The list is empty." if rows.empty? && @problems.empty?
        raise Malformed, @problems if @problems.any?

        rows
      end

      private

      def check(headers)
        refuse("there is no column number. #{KNOWN}") unless headers.include?("number")

        strange = headers.reject { |name| name.empty? || COLUMNS.include?(name) }.first(5)
        refuse("the column #{strange.join(', ')} is not known. #{KNOWN}") if strange.any?

        double = headers.tally.select { |name, count| count > 1 && !name.empty? }.keys
        refuse("the column #{double.join(', ')} stands twice.") if double.any?
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
          part[field] = value(row[column], column, field, type, line) if row.key?(column)
        end
      end

      def value(text, column, field, type, line)
        return NEEDED.include?(field) ? say(line, "#{column} may not be empty") : EMPTY[field] if text.nil?
        return say(line, "#{column} is too long") if text.length > LONGEST

        type.is_a?(Range) ? whole(text, column, type, line) : send(type, text, column, line)
      end

      def words(text, _column, _line)
        text
      end

      def kind(text, _column, line)
        kind = text.downcase.tr(" ", "_")
        kind.match?(KIND) ? kind : say(line, "kind must be words, as in filter or side brush")
      end

      def money(text, column, line)
        plain = text.delete("$").strip.tr(",", ".")
        if plain.match?(/\A\d{1,6}(\.\d{1,2})?\z/)
          (BigDecimal(plain) * 100).to_i
        else
          say(line, "#{column} must be money, as in 16.50")
        end
      end

      def whole(text, column, range, line)
        number = text.match?(/\A\d{1,6}\z/) ? text.to_i : nil
        if number && range.cover?(number)
          number
        else
          say(line, "#{column} must be a whole number from #{range.begin} to #{range.end}")
        end
      end

      def flag(text, column, line)
        FLAGS.fetch(text.downcase) { say(line, "#{column} must be yes or no") }
      end

      def filter_class(text, column, line)
        if Core::Fit::FilterClass::PERCENT.key?(text.upcase)
          text.upcase
        else
          say(line, "#{column} must be one of #{Core::Fit::FilterClass::PERCENT.keys.join(', ')}")
        end
      end

      def barcode(text, _column, line)
        if Core::Shelf::Ean13.valid?(text)
          text
        else
          say(line, "barcode #{text} is not thirteen digits with a right check digit")
        end
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
