# frozen_string_literal: true

module UprightBench
  module Core
    module Cards
      # A card that was written and has not left. Is it still wanted? What was done meanwhile, or put off, or stands on
      # the bench is taken off it; a customer who asked us to stop, or took back a channel, gets none.
      class WaitingCard
        include Value

        # @!attribute channel [Symbol]
        # @!attribute agreed [Boolean] the customer agrees to the channel
        # @!attribute address [String, nil] where it would go now
        # @!attribute tasks_left [Integer] of those on it that are still to be told
        # @!attribute stopped [Boolean]
        fields :channel, :agreed, :address, :tasks_left, stopped: false

        # @return [String, nil] why it is not wanted any more; nil while it is
        def unwanted
          return "asked us to stop writing" if stopped
          return "no longer agrees to #{Channels.of(channel).words}" unless agreed
          return "there is no address any more" if address.to_s.empty?

          "done, put off or on the bench since" if tasks_left.zero?
        end
      end
    end
  end
end
