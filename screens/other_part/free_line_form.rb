# frozen_string_literal: true

module UprightBench
  module Screens
    module OtherPart
      # A part from nowhere: what it is, what it costs, where it was bought.
      class FreeLineForm < Form
        takes do
          params do
            required(:name).filled(:string, max_size?: 200)
            required(:price).filled(:string)
            optional(:supplier).maybe(:string, max_size?: 200)
            optional(:part_number).maybe(:string)
            optional(:lead_days).maybe(:integer, gteq?: 0, lteq?: 365)
          end

          rule(:part_number) do
            if value && !value.upcase.match?(Shelf::PartForm::NUMBER)
              key.failure("may have letters, digits, dots, dashes and slashes, up to 40")
            end
          end
          rule(:price).validate(:sum)
        end

        # @return [Hash] as Services::WriteFreeLine takes it
        def line
          fields = values.slice(:name, :supplier, :lead_days)
          fields.merge(number: values[:part_number]&.upcase, price_cents: cents(:price))
        end
      end
    end
  end
end
