# frozen_string_literal: true

require "dry/schema"

module UprightBench
  module Screens
    # Somebody who is put on file in a form that is about a machine: name, how to reach them, and what they agreed to.
    module CustomerFields
      AGREED = TakeIn::TakeInForm::AGREED
      SCHEMA = Dry::Schema.Params do
        optional(:name).maybe(:string, max_size?: 120)
        optional(:phone).maybe(:string, max_size?: 40)
        optional(:email).maybe(:string, max_size?: 200, format?: FirstOwner::FirstOwnerForm::EMAIL)
        AddressFields::LENGTHS.each { |name, most| optional(name).maybe(:string, max_size?: most) }
        AGREED.each { |channel| optional(channel).maybe(:bool) }
      end
    end
  end
end
