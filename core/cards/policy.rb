# frozen_string_literal: true

module UprightBench
  module Core
    module Cards
      # When cards leave, and how often one may be repeated.
      class Policy
        include Value

        # @!attribute lead_days_by_channel [Hash{Symbol=>Integer}] days ahead of the due date
        fields code_valid_days: 120, # house rule
          lead_days_by_channel: Channels::ALL.to_h { |channel| [channel.key, channel.lead_days] },
               **Policies::Table.defaults("bundle_days", "follow_up_gap_days", "quiet_days", "most_follow_ups",
                 "write_again_days")

        # @param channel [Symbol] one of Channels::ORDER
        # @return [Integer] days ahead of the due date
        def lead_days(channel)
          lead_days_by_channel.fetch(channel)
        end

        # @return [Array<Integer>] how often something may have been written about that is written about again
        def attempts_to_follow
          (0..most_follow_ups).to_a
        end

        # @return [Integer] the most that any channel asks for
        def longest_lead_days
          lead_days_by_channel.values.max
        end
      end
    end
  end
end
