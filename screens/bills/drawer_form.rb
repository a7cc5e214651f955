# frozen_string_literal: true

module UprightBench
  module Screens
    module Bills
      # What lies in the drawer, and what stays in it.
      class DrawerForm < Form
        takes do
          params do
            required(:counted).filled(:decimal, gteq?: 0, lteq?: 100_000)
            required(:left).filled(:decimal, gteq?: 0, lteq?: 100_000)
            optional(:note).maybe(:string, max_size?: 300)
            required(:request_key).filled(:string, format?: TakeIn::TakeInForm::UUID)
          end
        end

        # @return [Hash] as Services::CountDrawer takes it
        def count
          { counted_cents: (values[:counted] * 100).round, left_cents: (values[:left] * 100).round,
            **values.slice(:note, :request_key) }
        end
      end
    end
  end
end
