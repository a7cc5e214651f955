# frozen_string_literal: true

module UprightBench
  module Screens
    module Shelf
      # What was counted, and why it is written down.
      class CountForm < Form
        takes do
          params do
            required(:counted).filled(:integer, gteq?: 0, lteq?: 99_999)
            required(:reason).filled(:string, max_size?: 200)
          end
        end
      end
    end
  end
end
