# frozen_string_literal: true

module UprightBench
  module Core
    module Cards
      # When cards leave, and how often one may be repeated (house rules, changeable in the settings).
      class Policy
        include Value

        fields bundle_days: 45, post_lead_days: 21, email_lead_days: 10, text_lead_days: 10, phone_lead_days: 7, follow_up_gap_days: 30,
               most_follow_ups: 2, code_valid_days: 120

        # @param channel [Symbol] one of Channels::ORDER
        # @return [Integer] days ahead of the due date
        def lead_days(channel)
          send(:"#{channel}_lead_days")
        end

        # @return [Array<Integer>] how often something may have been written about that is written about again
        def attempts_to_follow
          (0..most_follow_ups).to_a
        end

        # @return [Integer] the most that any channel asks for
        def longest_lead_days
          Channels::ORDER.map { |channel| lead_days(channel) }.max
        end
      end
    end
  end
end
