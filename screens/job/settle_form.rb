# frozen_string_literal: true

module UprightBench
  module Screens
    module Job
      # Who agreed, and how.
      class SettleForm < Form
        HOW = { "counter" => "at the counter", "phone" => "by phone", "message" => "by message" }.freeze
        AGREED = HOW.merge("page" => "on the customer's page").freeze # which nobody here can tick

        takes do
          params do
            required(:agreed_name).filled(:string, max_size?: 120)
            required(:agreed_how).filled(:string, included_in?: HOW.keys)
            optional(:call_above).maybe(:string)
            optional(:warranty_name).maybe(:string, max_size?: 120)
          end
          rule(:call_above).validate(:sum)
        end

        # @return [Hash] as Services::Agree takes it
        # @raise [Services::Invalid]
        def self.agreed(typed)
          form = new(typed)
          raise Services::Invalid, form.errors unless form.ok?

          form.agreed
        end

        def agreed
          { **values.slice(:agreed_name, :agreed_how, :warranty_name), call_above_cents: cents(:call_above) }
        end
      end
    end
  end
end
