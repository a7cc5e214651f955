# frozen_string_literal: true

module UprightBench
  module Screens
    module Suppliers
      # A supplier, new or on file.
      class SupplierForm < Form
        LABELS = { name: "Name", email: "E-mail", lead_days: "Delivery days" }.freeze

        takes do
          params do
            optional(:id).maybe(:integer)
            required(:name).filled(:string, max_size?: 120)
            optional(:email).maybe(:string, max_size?: 200, format?: /\A[^@\s]+@[^@\s]+\z/)
            required(:lead_days).filled(:integer, gteq?: 0, lteq?: 365)
          end
        end
      end
    end
  end
end
