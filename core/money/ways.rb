# frozen_string_literal: true

module UprightBench
  module Core
    module Money
      # How money changes hands; the database lists the same.
      module Ways
        # @!attribute words [String]
        # @!attribute coins [Boolean] whether it lies in the drawer: it is counted there, rounded to the smallest coin,
        #   and goes into no parcel
        Way = Struct.new(:key, :words, :coins, keyword_init: true)

        # The usual one first.
        ALL = [
          Way.new(key: "cash", words: "cash", coins: true),
          Way.new(key: "card", words: "card, on the till's device", coins: false),
          Way.new(key: "transfer", words: "bank transfer", coins: false)
        ].each(&:freeze).freeze
        WORDS = ALL.to_h { |way| [way.key, way.words] }.freeze
        COINS = ALL.select(&:coins).map(&:key).freeze
        USUAL = ALL.first.key
        # Paid later: a fleet's month, or whoever asks for it.
        ON_ACCOUNT = "account"
        # With what is no payment yet.
        CHOICES = { **WORDS, ON_ACCOUNT => "later, on account" }.freeze

        module_function

        # @return [Boolean] whether money changes hands now
        def now?(way)
          WORDS.key?(way)
        end

        # @return [Boolean]
        def coins?(way)
          COINS.include?(way)
        end
      end
    end
  end
end
