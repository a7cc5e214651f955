# frozen_string_literal: true

module UprightBench
  module Services
    # Puts somebody on file, with what they agreed to.
    module AddCustomer
      module_function

      # @param fields [Hash] columns
      # @param how [String] they agreed: a key of KeepConsent::HOW
      # @return [Models::Customer]
      def call(fields, by:, at:, how: "counter")
        DB.transaction do
          made = Models::Customer.create(**Phone.kept(fields), created_by: by.id, created_at: at)
          KeepConsent.begin(made, how: how, by: by, at: at)
          History.note("added", made, by: by, at: at)
          made
        end
      end
    end
  end
end
