# frozen_string_literal: true

module UprightBench
  module Formats
    # A day as people of a country write it. ISO 8601 is understood everywhere; else day, month and year stand in an
    # order that has to be said, since 3/4 is two days.
    class DatesInOrder
      # order => words
      ALL = { "dmy" => "day, month, year", "mdy" => "month, day, year", "ymd" => "year, month, day" }.freeze
      MONTH_FIRST = %w[US PH].freeze # from memory
      YEAR_FIRST = %w[CN JP KR TW HU LT MN CA SE ZA].freeze # from memory

      # @param country [String, nil] of two letters
      # @return [String] a key of ALL
      def self.usual(country)
        return "mdy" if MONTH_FIRST.include?(country)

        YEAR_FIRST.include?(country) ? "ymd" : "dmy"
      end

      # @param texts [Array<String>] days of one list
      # @param country [String, nil]
      # @return [String] the order in which most of them are days; the country's where it is as good as another
      def self.guess(texts, country, today:)
        first = usual(country)
        [first, *(ALL.keys - [first])].max_by.with_index do |order, index|
          read = new(order, today: today)
          [texts.count { |text| read.read(text)&.then { |day| day <= today } }, -index]
        end
      end

      # @param order [String] a key of ALL
      # @param today [Date] a year of two digits is the last one that is not after it
      # @raise [KeyError]
      def initialize(order, today:)
        @order = order if ALL.fetch(order)
        @today = today
      end

      # @param text [String]
      # @return [Date, nil] nil when it is no day
      def read(text)
        parts = text.strip.sub(/[T ]\d{1,2}:\d\d(:\d\d(\.\d+)?)?(Z| ?[AaPp][Mm])?\z/, "").split(%r{[./-]\s*})
        return unless parts.size == 3 && parts.all? { |part| part.match?(/\A\d{1,4}\z/) }

        order = parts[0].length == 4 ? "ymd" : @order
        day(*%w[y m d].map { |sign| parts[order.index(sign)] })
      end

      private

      def day(year, month, day)
        return if month.length > 2 || day.length > 2 || ![2, 4].include?(year.length)

        number = year.to_i
        number += (number > @today.year % 100 ? 1900 : 2000) if year.length == 2
        Date.valid_date?(number, month.to_i, day.to_i) ? Date.new(number, month.to_i, day.to_i) : nil
      end
    end
  end
end
