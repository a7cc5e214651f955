# frozen_string_literal: true

module UprightBench
  module Core
    module Cards
      module Channels
        # A mail, with a link to the customer's page.
        class Email < Channel
          def rank = 1
          def words = "e-mail"
          def agreed_words = "e-mail"
          def agreed_elsewhere = %w[email_consent email_opt_in newsletter]
          # house rule
          def lead_days = 10
          def address_column = :email
          def parts = { email_subject: :subject, email_body: :text }
          def written(letter, **) = [letter.subject, letter.text]
          def tells? = true
          def told(notice) = notice.body
        end
      end
    end
  end
end
