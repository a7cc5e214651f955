# frozen_string_literal: true

module UprightBench
  module Core
    module Cards
      # When cards leave, and how often one may be repeated (house rules, changeable in the settings).
      class Policy
        include Value

        fields bundle_days: 45, post_lead_days: 21, email_lead_days: 10, follow_up_gap_days: 30, most_follow_ups: 2,
               code_valid_days: 120

        # @param channel [Symbol] :email or :post
        # @return [Integer] days ahead of the due date
        def lead_days(channel)
          channel == :post ? post_lead_days : email_lead_days
        end
      end
    end
  end
end
