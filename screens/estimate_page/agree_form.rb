# frozen_string_literal: true

module UprightBench
  module Screens
    module EstimatePage
      # Who agrees, and up to which sum we need not call.
      class AgreeForm < Form
        takes do
          params do
            required(:agreed_name).filled(:string, max_size?: 120)
            optional(:call_above).maybe(:string)
            optional(:warranty_name).maybe(:string, max_size?: 120)
          end
          rule(:call_above).validate(:sum)
        end

        # @return [Hash] as Services::AgreeToEstimate takes it
        # @raise [Services::Invalid]
        def self.agreed(typed)
          form = new(typed)
          raise Services::Invalid, form.errors unless form.ok?

          { **form.values.slice(:agreed_name, :warranty_name), call_above_cents: form.cents(:call_above) }
        end
      end
    end
  end
end
