# frozen_string_literal: true

module UprightBench
  module Core
    module Cards
      module Channels
        # A mail, with a link to the customer's page.
        class Email < Channel
          def words = "e-mail"
          # house rule
          def lead_days = 10
          def address_column = :email
          def parts = { email_subject: :subject, email_body: :text }
          def written(letter, **) = [letter.subject, letter.text]
        end
      end
    end
  end
end
