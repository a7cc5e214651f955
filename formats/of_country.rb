# frozen_string_literal: true

require "countries"

module UprightBench
  module Formats
    # What a country usually decides for a shop in it: the currency (gem countries, ISO 3166 and 4217), whether lengths
    # are in inches (United States, Liberia and Myanmar, from memory), the sheets and labels that are printed on, the
    # size of a printed card, the order in which days are written (DatesInOrder), the day on which the week begins (gem
    # countries), and whether the clock has twelve hours.
    module OfCountry
      INCHES = %w[US LR MM].freeze
      LETTER = %w[US CA MX CL CO VE PH PR CR GT SV NI PA DO].freeze # from memory
      TWELVE_HOURS = %w[US CA AU NZ PH IN PK BD EG MY].freeze # from memory
      CARDS_IN_INCHES = %w[US CA].freeze # common practice

      module_function

      # @param code [String] of two letters
      # @return [Hash{String=>String}] shop rules; those that it does not decide are left out
      def rules(code)
        { "currency" => currency(code), "length_unit" => ("inch" if INCHES.include?(code)),
          "sheets" => ("letter" if LETTER.include?(code)),
          "card_size" => ("inch_4x6" if CARDS_IN_INCHES.include?(code)), **writing(code) }.compact
      end

      def writing(code)
        order = DatesInOrder.usual(code)
        week = ISO3166::Country[code]&.start_of_week.to_s[0, 3]
        { "date_order" => (order if order != Core::Policies::Table.default("date_order")),
          "clock" => ("12" if TWELVE_HOURS.include?(code)),
          "week_start" => (week if %w[sun sat].include?(week)) }
      end

      # @return [String, nil] of those that the shop can count in
      def currency(code)
        found = ISO3166::Country[code]&.currency_code
        found if Core::Money::Currency::ALL.key?(found)
      end
      private_class_method :currency, :writing
    end
  end
end
