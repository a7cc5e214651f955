# frozen_string_literal: true

module UprightBench
  module Screens
    module SoldNew
      # A machine that begins its life with the customer: whose, which, since when, how it is used, and what it cost.
      class SoldNewForm < Form
        AGREED = CustomerFields::AGREED
        WAYS = Core::Money::Ways::CHOICES.keys.freeze

        takes do
          params do
            required(:request_key).filled(:string, format?: TakeIn::TakeInForm::UUID)
            optional(:customer_id).maybe(:integer)
            optional(:customer).maybe(:hash?, CustomerFields::SCHEMA)
            required(:machine).hash do
              required(:sheet_id).filled(:integer)
              optional(:serial_number).maybe(:string, max_size?: 40)
              required(:bought_on).filled(:date)
              optional(:bought_at).maybe(:string, max_size?: 120)
            end
            optional(:hours_per_week).maybe(:float, gteq?: 0, lteq?: 168)
            optional(:traits).array(:string, included_in?: TakeIn::TakeInForm::TRAITS)
            optional(:allergy).maybe(:bool)
            optional(:price).maybe(:string)
            optional(:tax_class).maybe(:string, max_size?: 40)
            optional(:way).maybe(:string, included_in?: WAYS)
          end

          rule(:price).validate(:sum)
          rule(:tax_class).validate(:tax_class)
          rule(:customer) do
            key(%i[customer name]).failure("is needed") if values[:customer_id].nil? && values.dig(:customer,
              :name).nil?
          end
          rule(machine: :bought_on) { key.failure("lies in the future") if value && value > Date.today + 1 }
        end

        # @return [Hash] as Services::SellMachine takes it
        def input
          whom = values.slice(:request_key, :customer_id)
          { **whom, customer: customer, machine: values[:machine], use: use, way: values[:way] || Core::Money::Ways::USUAL,
                    price_cents: cents(:price), tax_class: values[:tax_class] }
        end

        private

        def use
          { hours_per_week: values[:hours_per_week], traits: values[:traits].to_a.uniq,
            allergy: values[:allergy] || false }
        end

        # A box that is not ticked is not sent at all.
        def customer
          values[:customer] && AGREED.to_h { |box| [box, false] }.merge(values[:customer].compact)
        end
      end
    end
  end
end
