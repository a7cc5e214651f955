# frozen_string_literal: true

module UprightBench
  module Core
    module Shelf
      # The thirteen digits under a trade item's bars (GS1 General Specifications, check digit: weights 1 and 3 in turn
      # from the left, made up to the next ten).
      module Ean13
        DIGITS = /\A\d{13}\z/

        module_function

        # @param twelve [String] digits
        # @return [String] the thirteenth
        def check_digit(twelve)
          sum = twelve.chars.each_with_index.sum { |digit, index| digit.to_i * (index.even? ? 1 : 3) }
          ((10 - (sum % 10)) % 10).to_s
        end

        # @param text [String]
        def valid?(text)
          text.match?(DIGITS) && check_digit(text[0, 12]) == text[12]
        end
      end
    end
  end
end
