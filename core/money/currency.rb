# frozen_string_literal: true

module UprightBench
  module Core
    module Money
      # The money that a shop counts in (ISO 4217), and how a sum in it is written and read. A cent here is the smallest
      # unit of whatever it is: a hundredth of most, a thousandth of some, and the yen itself. The table is that of the
      # gem money, against which the tests hold it.
      class Currency
        include Value

        # @!attribute first [Boolean] the sign stands before the sum
        # @!attribute apart [Boolean] with a space between
        # @!attribute mark [String] before the decimals
        # @!attribute digits [Integer] decimals
        fields :code, :name, :sign, first: true, apart: false, mark: ".", digits: 2

        BEHIND = { first: false, apart: true, mark: "," }.freeze
        private_constant :BEHIND
        SUM = /\A(\d{1,9})(?:[.,](\d{1,3}))?\z/
        private_constant :SUM
        MOST_CENTS = 100_000_000 # of a sum that is typed

        ALL = [
          new(code: "AUD", name: "Australian Dollar", sign: "$"),
          new(code: "BHD", name: "Bahraini Dinar", sign: "BHD", apart: true, digits: 3),
          new(code: "BRL", name: "Brazilian Real", sign: "R$", mark: ","),
          new(code: "CAD", name: "Canadian Dollar", sign: "$"),
          new(code: "CHF", name: "Swiss Franc", sign: "CHF", apart: true),
          new(code: "CLP", name: "Chilean Peso", sign: "$", mark: ",", digits: 0),
          new(code: "CZK", name: "Czech Koruna", sign: "Kč", **BEHIND),
          new(code: "DKK", name: "Danish Krone", sign: "kr.", **BEHIND),
          new(code: "EUR", name: "Euro", sign: "€", mark: ","),
          new(code: "GBP", name: "British Pound", sign: "£"),
          new(code: "HKD", name: "Hong Kong Dollar", sign: "$"),
          new(code: "HUF", name: "Hungarian Forint", sign: "Ft", **BEHIND, digits: 0),
          new(code: "ILS", name: "Israeli New Sheqel", sign: "₪"),
          new(code: "INR", name: "Indian Rupee", sign: "₹"),
          new(code: "ISK", name: "Icelandic Króna", sign: "kr.", **BEHIND, digits: 0),
          new(code: "JOD", name: "Jordanian Dinar", sign: "JOD", apart: true, digits: 3),
          new(code: "JPY", name: "Japanese Yen", sign: "¥", digits: 0),
          new(code: "KRW", name: "South Korean Won", sign: "₩", digits: 0),
          new(code: "KWD", name: "Kuwaiti Dinar", sign: "KWD", apart: true, digits: 3),
          new(code: "MXN", name: "Mexican Peso", sign: "$"),
          new(code: "MYR", name: "Malaysian Ringgit", sign: "RM"),
          new(code: "NOK", name: "Norwegian Krone", sign: "kr", **BEHIND),
          new(code: "NZD", name: "New Zealand Dollar", sign: "$"),
          new(code: "OMR", name: "Omani Rial", sign: "OMR", apart: true, digits: 3),
          new(code: "PHP", name: "Philippine Peso", sign: "₱"),
          new(code: "PLN", name: "Polish Złoty", sign: "zł", **BEHIND),
          new(code: "RON", name: "Romanian Leu", sign: "Lei", **BEHIND),
          new(code: "SEK", name: "Swedish Krona", sign: "kr", **BEHIND),
          new(code: "SGD", name: "Singapore Dollar", sign: "$"),
          new(code: "THB", name: "Thai Baht", sign: "฿"),
          new(code: "TND", name: "Tunisian Dinar", sign: "TND", apart: true, digits: 3),
          new(code: "TRY", name: "Turkish Lira", sign: "₺", mark: ","),
          new(code: "USD", name: "United States Dollar", sign: "$"),
          new(code: "ZAR", name: "South African Rand", sign: "R", mark: ",")
        ].to_h { |currency| [currency.code, currency] }.freeze

        USUAL = "USD"

        # @param code [String] ISO 4217
        # @raise [KeyError]
        def self.of(code)
          ALL.fetch(code)
        end

        # @param cents [Integer]
        # @return [String] as in "$16.50" or "16,50 kr", and "-$0.05" for what is taken back
        def words(cents)
          sum = digits_of(cents.abs, mark)
          "#{'-' if cents.negative?}#{(first ? [sign, sum] : [sum, sign]).join(apart ? ' ' : '')}"
        end

        # @param cents [Integer]
        # @return [String] as it is typed, and as it stands in files: "16.50"
        def plain(cents)
          "#{'-' if cents.negative?}#{digits_of(cents.abs, '.')}"
        end

        # @param typed [String] as in "16.50", "16,50" or "$16.50"
        # @return [Integer, nil] cents; nil for what is no sum, or is more than anybody types on purpose
        def cents(typed)
          plain = typed.delete("\u00A0 ").delete_prefix(sign).delete_suffix(sign).delete("$€£")
          whole, part = plain.match(SUM)&.captures
          return if whole.nil? || part.to_s.length > digits

          found = "#{whole}#{part.to_s.ljust(digits, '0')}".to_i
          found if found <= MOST_CENTS
        end

        # @return [Integer] cents in one
        def units
          10**digits
        end

        private

        def digits_of(cents, mark)
          return cents.to_s if digits.zero?

          whole, part = cents.divmod(units)
          "#{whole}#{mark}#{part.to_s.rjust(digits, '0')}"
        end
      end
    end
  end
end
