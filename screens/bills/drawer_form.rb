# frozen_string_literal: true

module UprightBench
  module Screens
    module Bills
      # What lies in the drawer, and what stays in it.
      class DrawerForm < Form
        takes do
          params do
            required(:counted).filled(:string)
            required(:left).filled(:string)
            optional(:note).maybe(:string, max_size?: 300)
            required(:request_key).filled(:string, format?: TakeIn::TakeInForm::UUID)
          end
          %i[counted left].each { |name| rule(name).validate(:sum) }
        end

        # @return [Hash] as Services::CountDrawer takes it
        def count
          { counted_cents: cents(:counted), left_cents: cents(:left), **values.slice(:note, :request_key) }
        end
      end
    end
  end
end
