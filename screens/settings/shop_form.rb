# frozen_string_literal: true

module UprightBench
  module Screens
    module Settings
      # What the shop is called, where it is, and what its papers say of it.
      class ShopForm < Form
        FIELDS = [:name, *AddressFields::ALL.keys, :country, :time_zone, :phone, :email, :tax_number,
                  :storage_rule].freeze

        takes do
          params do
            required(:name).filled(:string, max_size?: 120)
            AddressFields::LENGTHS.slice(:street, :town)
              .each { |name, most| required(name).filled(:string, max_size?: most) }
            AddressFields::LENGTHS.slice(:region, :postcode)
              .each { |name, most| optional(name).maybe(:string, max_size?: most) }
            required(:country).filled(:string)
            optional(:time_zone).maybe(:string, included_in?: Formats::TimeZones.all)
            required(:phone).filled(:string, max_size?: 40)
            required(:email).filled(:string, max_size?: 200, format?: FirstOwner::FirstOwnerForm::EMAIL)
            optional(:tax_number).maybe(:string, max_size?: 60)
            optional(:storage_rule).maybe(:string, max_size?: 500)
          end

          rule(:country) { key.failure("is not on the list") unless AddressFields.country?(value) }
        end

        # @param shop [Models::Shop]
        def self.typed_from(shop)
          FIELDS.to_h { |name| [name.to_s, shop[name]] }
        end

        # @return [Hash] as Services::KeepShop takes it
        def fields
          FIELDS.to_h { |name| [name, values[name]] }
        end
      end
    end
  end
end
