# frozen_string_literal: true

module UprightBench
  module Core
    module Cards
      # How a customer may be reached: the channels agreed to, whether there is an address for each, and which addresses
      # turned out not to take what is sent.
      #
      #   Address.new(ways: { email: "a@example.org" }, agreed: [:email]).channel  # => :email
      class Address
        include Value

        # @!attribute ways [Hash{Symbol=>String}] channel => address, without those that have none
        # @!attribute agreed [Array<Symbol>]
        # @!attribute faults [Hash{Symbol=>String}] channel => why its address is no good
        fields ways: {}, agreed: [], faults: {}, stopped: false

        # @return [Symbol, nil] the first of Channels::ORDER that may be used
        def channel
          return if stopped

          Channels::ORDER.find { |channel| agreed.include?(channel) && ways.key?(channel) && !faults.key?(channel) }
        end

        # @return [String, nil] why no card can be sent
        def obstacle
          return if channel
          return "asked us to stop writing" if stopped
          return "has not agreed to any channel" if agreed.empty?

          reached = agreed & ways.keys
          return "agreed to #{words(agreed)}, but there is no address for it" if reached.empty?

          "#{words(reached)}: #{faults.values_at(*reached).compact.first}"
        end

        private

        def words(channels)
          (Channels::ORDER & channels).map { |channel| Channels.of(channel).words }.join(" and ")
        end
      end
    end
  end
end
