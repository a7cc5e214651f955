# frozen_string_literal: true

module UprightBench
  module Core
    module Cards
      module Channels
        # A text message, with a link to the customer's page.
        class Text < Channel
          def rank = 2
          def words = "text message"
          def agreed_words = "texts"
          def agreed_elsewhere = %w[sms_consent sms_opt_in text_consent]
          # house rule
          def lead_days = 10
          def address_column = :phone
          def parts = { text_body: :short }
          def written(letter, **) = [nil, letter.short]
          def tells? = true
        end
      end
    end
  end
end
