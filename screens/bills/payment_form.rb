# frozen_string_literal: true

module UprightBench
  module Screens
    module Bills
      # So much, by this way.
      class PaymentForm < Form
        takes do
          params do
            required(:way).filled(:string, included_in?: Core::Money::Ways::WORDS.keys)
            required(:amount).filled(:decimal, gt?: 0, lteq?: 100_000)
            optional(:back).maybe(:bool)
            optional(:note).maybe(:string, max_size?: 300)
            required(:request_key).filled(:string, format?: TakeIn::TakeInForm::UUID)
          end
        end

        # @return [Integer] negative where it is given back
        def cents
          cents = (values[:amount] * 100).round
          values[:back] ? -cents : cents
        end
      end
    end
  end
end
