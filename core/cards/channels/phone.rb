# frozen_string_literal: true

module UprightBench
  module Core
    module Cards
      module Channels
        # A call by a person of the shop.
        class Phone < Channel
          def words = "phone call"
          # house rule
          def lead_days = 7
          def address_column = :phone
          def parts = { phone_body: :phone_script }
          def written(letter, **) = [nil, letter.phone_script]
        end
      end
    end
  end
end
