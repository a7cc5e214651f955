# frozen_string_literal: true

module UprightBench
  module Models
    # A person or firm, and the channels agreed to.
    class Customer < Sequel::Model(:customers)
      plugin :optimistic_locking
      one_to_many :machines, order: :id
      one_to_many :cards, order: Sequel.desc(:id)
      one_to_many :consents, order: Sequel.desc(:id)
      one_to_many :channel_faults

      CHANNELS = Core::Cards::Channels::ALL
      # channel => the column that says whether it was agreed to
      AGREED = CHANNELS.to_h { |channel| [channel.key, channel.agreed_column] }.freeze
      REACHED_BY = [*CHANNELS.map(&:address_column).uniq, :stopped_on, *AGREED.values].freeze

      # @param fields [Hash] REACHED_BY, of one customer
      # @param faults [Hash{Array(String, String)=>String}] channel and address => why it is no good
      # @return [Core::Cards::Address]
      def self.address(fields, faults = {})
        ways = CHANNELS.to_h { |channel| [channel.key, fields[channel.address_column]] }.compact
        broken = if faults.empty?
                   {}
                 else
                   ways.to_h { |channel, address| [channel, faults[[channel.to_s, address]]] }.compact
                 end
        Core::Cards::Address.new(ways: ways, agreed: AGREED.select { |_, column| fields[column] }.keys, faults: broken,
          stopped: !fields[:stopped_on].nil?)
      end

      # @return [Core::Cards::Address]
      def address
        self.class.address(values, channel_faults.to_h { |fault| [[fault.channel, fault.address], fault.reason] })
      end

      # @param channel [String]
      # @param shop [Shop] that writes
      # @return [String, nil] where a card goes, the lines of a postal address
      def recipient(channel, shop)
        Core::Cards::Channels.of(channel).recipient(self, shop)
      end
    end
  end
end
