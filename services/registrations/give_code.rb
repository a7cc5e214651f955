# frozen_string_literal: true

module UprightBench
  module Services
    # Gives somebody a code, behind which they register a machine that they bought.
    module GiveCode
      DAYS = 365 # that it is good for (house rule)

      module_function

      # @param customer [Models::Customer, nil] nil for somebody who is not on file
      # @return [Models::Registration]
      def call(by:, at:, customer: nil)
        DB.transaction do
          Models::Registration.create(customer_id: customer&.id, given_by: by.id, given_at: at,
            expires_on: Config::Zone.date(at) + DAYS)
            .tap { |given| History.note("gave a code", given, by: by, at: at) }
        end
      end
    end
  end
end
