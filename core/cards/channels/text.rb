# frozen_string_literal: true

module UprightBench
  module Core
    module Cards
      module Channels
        # A text message, with a link to the customer's page.
        class Text < Channel
          def words = "text message"
          # house rule
          def lead_days = 10
          def address_column = :phone
          def parts = { text_body: :short }
          def written(letter, **) = [nil, letter.short]
        end
      end
    end
  end
end
