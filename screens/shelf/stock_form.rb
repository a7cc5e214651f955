# frozen_string_literal: true

module UprightBench
  module Screens
    module Shelf
      # Pieces that came in.
      class StockForm < Form
        takes do
          params do
            required(:pieces).filled(:integer, gteq?: 1, lteq?: 9999)
            required(:request_key).filled(:string, format?: TakeIn::TakeInForm::UUID)
          end
        end
      end
    end
  end
end
