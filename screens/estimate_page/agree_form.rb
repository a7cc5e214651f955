# frozen_string_literal: true

module UprightBench
  module Screens
    module EstimatePage
      # Who agrees, and up to which sum we need not call.
      class AgreeForm < Form
        takes do
          params do
            required(:agreed_name).filled(:string, max_size?: 120)
            optional(:call_above).maybe(:decimal, gteq?: 0, lteq?: 100_000)
            optional(:warranty_name).maybe(:string, max_size?: 120)
          end
        end

        # @return [Hash] as Services::AgreeToEstimate takes it
        # @raise [Services::Invalid]
        def self.agreed(typed)
          form = new(typed)
          raise Services::Invalid, form.errors unless form.ok?

          above = form.values[:call_above]
          { **form.values.slice(:agreed_name, :warranty_name), call_above_cents: above && (above * 100).round }
        end
      end
    end
  end
end
