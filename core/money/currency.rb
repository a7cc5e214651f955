# frozen_string_literal: true

module UprightBench
  module Core
    module Money
      # The money that a shop counts in (ISO 4217), and how a sum in it is written. Only those whose smallest unit is a
      # hundredth: a cent here is a hundredth of whatever it is. The table is that of the gem money, against which the
      # tests hold it.
      class Currency
        include Value

        # @!attribute first [Boolean] the sign stands before the sum
        # @!attribute apart [Boolean] with a space between
        # @!attribute mark [String] before the hundredths
        fields :code, :name, :sign, first: true, apart: false, mark: "."

        BEHIND = { first: false, apart: true, mark: "," }.freeze
        private_constant :BEHIND

        ALL = [
          new(code: "AUD", name: "Australian Dollar", sign: "$"),
          new(code: "BRL", name: "Brazilian Real", sign: "R$", mark: ","),
          new(code: "CAD", name: "Canadian Dollar", sign: "$"),
          new(code: "CHF", name: "Swiss Franc", sign: "CHF", apart: true),
          new(code: "CZK", name: "Czech Koruna", sign: "Kč", **BEHIND),
          new(code: "DKK", name: "Danish Krone", sign: "kr.", **BEHIND),
          new(code: "EUR", name: "Euro", sign: "€", mark: ","),
          new(code: "GBP", name: "British Pound", sign: "£"),
          new(code: "HKD", name: "Hong Kong Dollar", sign: "$"),
          new(code: "ILS", name: "Israeli New Sheqel", sign: "₪"),
          new(code: "INR", name: "Indian Rupee", sign: "₹"),
          new(code: "MXN", name: "Mexican Peso", sign: "$"),
          new(code: "MYR", name: "Malaysian Ringgit", sign: "RM"),
          new(code: "NOK", name: "Norwegian Krone", sign: "kr", **BEHIND),
          new(code: "NZD", name: "New Zealand Dollar", sign: "$"),
          new(code: "PHP", name: "Philippine Peso", sign: "₱"),
          new(code: "PLN", name: "Polish Złoty", sign: "zł", **BEHIND),
          new(code: "RON", name: "Romanian Leu", sign: "Lei", **BEHIND),
          new(code: "SEK", name: "Swedish Krona", sign: "kr", **BEHIND),
          new(code: "SGD", name: "Singapore Dollar", sign: "$"),
          new(code: "THB", name: "Thai Baht", sign: "฿"),
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
          whole, part = cents.abs.divmod(100)
          sum = format("%<whole>d%<mark>s%<part>02d", whole: whole, mark: mark, part: part)
          "#{'-' if cents.negative?}#{(first ? [sign, sum] : [sum, sign]).join(apart ? ' ' : '')}"
        end
      end
    end
  end
end
