# frozen_string_literal: true

module UprightBench
  module Core
    module Cards
      module Channels
        # A call by a person of the shop.
        class Phone < Channel
          def rank = 4
          def words = "phone call"
          def agreed_words = "calls"
          def agreed_elsewhere = %w[call_consent phone_consent]
          # house rule
          def lead_days = 7
          def address_column = :phone
          def parts = { phone_body: :phone_script }
          def written(letter, **) = [nil, letter.phone_script]
          # A person calls.
          def tells? = false
        end
      end
    end
  end
end
