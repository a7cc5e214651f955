# frozen_string_literal: true

module UprightBench
  module Formats
    # A list of machines as CSV (RFC 4180; a semicolon or a tab between the fields is understood too).
    #
    #   maker,model,serial_number,bought_on,hours_per_week,complaint
    #   Ostrel,Stride 36,K-20137,2024-05-01,22,half-yearly service
    #
    # maker, model and serial_number are needed; the order of the columns and the case of their names do not matter.
    class MachineList
      COLUMNS = %w[maker model serial_number bought_on hours_per_week complaint].freeze
      NEEDED = %w[maker model serial_number].freeze
      MOST = 500
      LONGEST = 2000

      # @param text [String] UTF-8
      def initialize(text)
        @text = text
        @problems = []
      end

      # @return [Array<Hash{Symbol=>Object}>] line (in the file), maker, model, serial_number, bought_on (Date or nil),
      #   hours_per_week (Float or nil), complaint (String or nil)
      # @raise [Malformed] with every problem
      def call
        rows = CsvRows.new(@text, most: MOST).call { |headers| check(headers) }.map { |row, line| read(row, line) }
        @problems << "The list is empty." if rows.empty? && @problems.empty?
        raise Malformed, @problems if @problems.any?

        rows
      end

      private

      def check(headers)
        lacking = NEEDED - headers
        return unless lacking.any?

        raise Malformed, ["Line 1: there is no column #{lacking.join(', ')}. The columns are #{COLUMNS.join(', ')}."]
      end

      def read(row, line)
        fields = COLUMNS.to_h { |name| [name.to_sym, row[name]] }
        NEEDED.each { |name| say(line, "#{name} is missing") unless fields[name.to_sym] }
        say(line, "a field is too long") if fields.values.compact.any? { |text| text.length > LONGEST }
        fields.merge(line: line, bought_on: date(fields[:bought_on], line),
          hours_per_week: hours(fields[:hours_per_week], line))
      end

      def date(text, line)
        text && Date.iso8601(text, limit: nil)
      rescue Date::Error
        say(line, "bought_on must be a day, as in 2026-03-31")
      end

      def hours(text, line)
        return unless text

        number = Float(text.tr(",", "."), exception: false)
        number&.between?(0, 168) ? number : say(line, "hours_per_week must be a number from 0 to 168")
      end

      def say(line, words)
        @problems << "Line #{line}: #{words}."
        nil
      end
    end
  end
end
