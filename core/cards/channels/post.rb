# frozen_string_literal: true

module UprightBench
  module Core
    module Cards
      module Channels
        # A printed card, with a code that opens the customer's page.
        class Post < Channel
          def rank = 3
          def words = "post"
          def agreed_words = "letters"
          def agreed_elsewhere = %w[post_consent mail_consent]
          # house rule
          def lead_days = 21
          def address_column = :street
          def parts = { post_body: :paper }
          def recipient(customer, shop) = shop.address_of(customer).to_s
          def written(letter, most_tasks:) = [nil, letter.paper(most_tasks)]
          # It would come too late.
          def tells? = false
        end
      end
    end
  end
end
