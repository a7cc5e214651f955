# frozen_string_literal: true

module UprightBench
  module Screens
    module Customers
      # A customer's name, addresses and agreed channels.
      class CustomerForm < Form
        AGREED = Core::Cards::Channels::ALL.map(&:agreed_column).freeze
        BOXES = [*AGREED, :fleet, :bills_by_mail].freeze
        TEXTS = [:name, :phone, :email, *AddressFields::ALL.keys, :country, :notes, :told_by, :language].freeze

        takes do
          params do
            required(:lock_version).filled(:integer)
            required(:name).filled(:string, max_size?: 120)
            optional(:phone).maybe(:string, max_size?: 40)
            optional(:email).maybe(:string, max_size?: 200)
            AddressFields::LENGTHS.each { |name, most| optional(name).maybe(:string, max_size?: most) }
            optional(:country).maybe(:string)
            optional(:told_by).maybe(:string, included_in?: %w[email text phone])
            optional(:notes).maybe(:string, max_size?: 2000)
            optional(:language).maybe(:string, format?: /\A[a-z]{2,3}\z/)
            optional(:how).maybe(:string, included_in?: Services::KeepConsent::BY_HAND)
            BOXES.each { |box| optional(box).maybe(:bool) }
          end

          rule(:country) { key.failure("is not on the list") if value && !AddressFields.country?(value) }
          rule(:email) do
            key.failure("is not an e-mail address") if value && !value.match?(/\A[^@\s<>]+@[^@\s<>]+\.[^@\s<>]+\z/)
          end
        end

        def self.typed_from(customer)
          TEXTS.to_h { |name| [name.to_s, customer[name]] }.merge(BOXES.to_h do |name|
            [name.to_s, customer[name] ? "1" : nil]
          end)
            .merge("lock_version" => customer.lock_version.to_s)
        end

        # @return [Hash] columns; agreeing to a channel again ends an earlier "stop writing"
        def fields
          boxes = BOXES.to_h { |name| [name, values[name] || false] }
          fields = TEXTS.to_h { |name| [name, values[name]] }.merge(boxes)
          fields[:language] ||= Services::Words::ENGLISH
          boxes.values_at(*AGREED).any? ? fields.merge(stopped_on: nil) : fields
        end
      end
    end
  end
end
