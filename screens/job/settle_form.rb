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
            optional(:call_above).maybe(:decimal, gteq?: 0, lteq?: 100_000)
            optional(:warranty_name).maybe(:string, max_size?: 120)
          end
        end

        # @return [Hash] as Services::Agree takes it
        # @raise [Services::Invalid]
        def self.agreed(typed)
          form = new(typed)
          raise Services::Invalid, form.errors unless form.ok?

          form.agreed
        end

        def agreed
          above = values[:call_above]
          { **values.slice(:agreed_name, :agreed_how, :warranty_name), call_above_cents: above && (above * 100).round }
        end
      end
    end
  end
end
