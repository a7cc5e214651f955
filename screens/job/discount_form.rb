# frozen_string_literal: true

module UprightBench
  module Screens
    module Job
      # So many percent off everything, and why.
      class DiscountForm < Form
        takes do
          params do
            required(:discount_percent).filled(:decimal, gteq?: 0, lteq?: 100)
            optional(:discount_reason).maybe(:string, max_size?: 200)
          end
        end

        # @return [Hash] as Services::SetDiscount takes it
        # @raise [Services::Invalid]
        def self.taken_off(typed)
          form = new(typed)
          raise Services::Invalid, form.errors unless form.ok?

          { percent: form.values[:discount_percent].round(2), reason: form.values[:discount_reason] }
        end
      end
    end
  end
end
