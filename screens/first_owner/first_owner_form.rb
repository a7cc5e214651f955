# frozen_string_literal: true

module UprightBench
  module Screens
    module FirstOwner
      # The owner's account, and what the shop is called on its papers.
      class FirstOwnerForm < Form
        EMAIL = /\A[^@\s<>]+@[^@\s<>]+\.[^@\s<>]+\z/

        takes do
          params do
            required(:name).filled(:string, max_size?: 120)
            required(:email).filled(:string, max_size?: 200, format?: EMAIL)
            required(:password).filled(:string)
            required(:again).filled(:string)
            required(:shop_name).filled(:string, max_size?: 120)
            AddressFields::LENGTHS.slice(:street, :town)
              .each { |name, most| required(name).filled(:string, max_size?: most) }
            AddressFields::LENGTHS.slice(:region, :postcode)
              .each { |name, most| optional(name).maybe(:string, max_size?: most) }
            required(:country).filled(:string)
            required(:phone).filled(:string, max_size?: 40)
          end

          rule(:country) { key.failure("is not on the list") unless AddressFields.country?(value) }
          rule(:password) do
            if value.length < Services::FirstOwner::LEAST_LETTERS
              key.failure("is too short: at least #{Services::FirstOwner::LEAST_LETTERS} letters")
            end
            if value.bytesize > Services::FirstOwner::MOST_BYTES
              key.failure("is too long: at most #{Services::FirstOwner::MOST_BYTES} letters")
            end
          end
          rule(:password, :again) { key(:again).failure("is not the same") if values[:password] != values[:again] }
        end

        # @return [Hash] as Services::FirstOwner takes it
        def person
          values.slice(:name, :email, :password)
        end

        # @return [Hash]
        def shop
          { name: values[:shop_name], email: values[:email],
            **values.slice(*AddressFields::ALL.keys, :country, :phone) }
        end
      end
    end
  end
end
