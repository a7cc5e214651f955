# frozen_string_literal: true

module UprightBench
  module Screens
    module Shelf
      # So many of one part, ordered by hand.
      class OrderForm < Form
        takes do
          params do
            required(:ordered).filled(:integer, gteq?: 1, lteq?: Services::PlaceOrder::MOST_PIECES)
            required(:request_key).filled(:string, format?: TakeIn::TakeInForm::UUID)
          end
        end
      end
    end
  end
end
