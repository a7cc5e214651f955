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

      AGREED = Core::Cards::Channels::ORDER.to_h { |channel| [channel, :"#{channel}_agreed"] }.freeze
      REACHED_BY = [:email, :phone, :street, :stopped_on, *AGREED.values].freeze

      # @param fields [Hash] REACHED_BY, of one customer
      # @param faults [Hash{Array(String, String)=>String}] channel and address => why it is no good
      # @return [Core::Cards::Address]
      def self.address(fields, faults = {})
        ways = { email: fields[:email], text: fields[:phone], post: fields[:street], phone: fields[:phone] }.compact
        broken = faults.empty? ? {} : ways.to_h { |channel, address| [channel, faults[[channel.to_s, address]]] }.compact
        Core::Cards::Address.new(ways: ways, agreed: AGREED.select { |_, column| fields[column] }.keys, faults: broken, stopped: !fields[:stopped_on].nil?)
      end

      # @return [Core::Cards::Address]
      def address
        self.class.address(values, channel_faults.to_h { |fault| [[fault.channel, fault.address], fault.reason] })
      end

      # @param channel [String]
      # @return [String] where a card goes, the lines of a postal address
      def recipient(channel)
        return [name, street, town].compact.join("\n") if channel == "post"

        channel == "email" ? email : phone
      end
    end
  end
end
