# frozen_string_literal: true

module UprightBench
  module Screens
    module People
      # Somebody who works here.
      class PersonForm < Form
        FIELDS = %i[name email role].freeze
        LABELS = { name: "Name", email: "E-mail" }.freeze

        takes do
          params do
            required(:name).filled(:string, max_size?: 120)
            required(:email).filled(:string, max_size?: 200, format?: FirstOwner::FirstOwnerForm::EMAIL)
            required(:role).filled(:string, included_in?: Core::Access::Roles::ALL)
          end
        end

        # @param one [Models::Person]
        def self.typed_from(one)
          FIELDS.to_h { |name| [name.to_s, one[name]] }
        end

        # @return [Hash] as Services::Staff takes it
        def fields
          FIELDS.to_h { |name| [name, values[name]] }
        end
      end
    end
  end
end
