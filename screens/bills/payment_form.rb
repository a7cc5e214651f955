# frozen_string_literal: true

module UprightBench
  module Screens
    module Bills
      # So much, by this way.
      class PaymentForm < Form
        takes do
          params do
            required(:way).filled(:string, included_in?: Core::Money::Ways::WORDS.keys)
            required(:amount).filled(:string)
            optional(:back).maybe(:bool)
            optional(:note).maybe(:string, max_size?: 300)
            required(:request_key).filled(:string, format?: TakeIn::TakeInForm::UUID)
          end
          rule(:amount).validate(:sum)
          rule(:amount) { key.failure("must be more than 0") if value.match?(/\A[0.,]+\z/) }
        end

        # @return [Integer] cents; negative where it is given back
        def paid_cents
          values[:back] ? -cents(:amount) : cents(:amount)
        end
      end
    end
  end
end
