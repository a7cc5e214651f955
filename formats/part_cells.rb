# frozen_string_literal: true

module UprightBench
  module Formats
    # How the cells of a list of parts are read. Whoever includes it has a `say`, which tells what is wrong with a line
    # and returns nil, and a @currency.
    module PartCells
      FLAGS = { "yes" => true, "no" => false }.freeze
      KIND = /\A[a-z][a-z_]{0,39}\z/

      private

      def words(text, _column, _line)
        text
      end

      def kind(text, _column, line)
        kind = text.downcase.tr(" ", "_")
        kind.match?(KIND) ? kind : say(line, "kind must be words, as in filter or side brush")
      end

      def money(text, column, line)
        @currency.cents(plain_money(text)) ||
          say(line, "#{column} must be money, as in #{@currency.plain(1650)}")
      end

      # "1.234,50" and "1,234.50" are the same sum: the last sign parts the cents. Where there are none, all signs stand
      # between thousands.
      def plain_money(text)
        return text.delete(".,") if @currency.digits.zero?
        return text unless text.include?(",") && text.include?(".")

        cents = text[/[.,](\d*)[^\d]*\z/, 1]
        "#{text[0...text.rindex(/[.,]/)].delete('.,')}.#{cents}"
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

      # A spreadsheet drops the nought that it begins with.
      def barcode(text, _column, line)
        whole = text.rjust(13, "0")
        if Core::Shelf::Ean13.valid?(whole)
          whole
        else
          say(line, "barcode #{text} is not thirteen digits with a right check digit")
        end
      end
    end
  end
end
