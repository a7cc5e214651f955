# frozen_string_literal: true

module UprightBench
  module Core
    module Money
      # How money changes hands; the database knows the same.
      module Ways
        # way => words
        WORDS = { "cash" => "cash", "card" => "card, on the till's device", "transfer" => "bank transfer" }.freeze
        # Paid later: a fleet's month, or whoever asks for it.
        ON_ACCOUNT = "account"
        # With what is no payment yet.
        CHOICES = { **WORDS, ON_ACCOUNT => "later, on account" }.freeze

        module_function

        # @return [Boolean] whether money changes hands now
        def now?(way)
          WORDS.key?(way)
        end
      end
    end
  end
end
