# frozen_string_literal: true

module UprightBench
  module Models
    # The one shop.
    class Shop < Sequel::Model(:shops)
      unrestrict_primary_key

      # @return [Shop]
      def self.the
        first || unnamed
      end

      # Before the first owner has named it.
      def self.unnamed
        new(name: "Upright Bench", street: "", town: "", phone: "", email: "")
      end
      private_class_method :unnamed

      WITH_POLICIES = Prepared.new(:shop_with_policies) do
        set = Policy.select { jsonb_object_agg(key, value) }
        DB.from(DB.select(set.as(:policies))).left_join(:shops, true)
      end
      private_constant :WITH_POLICIES

      # In one query: nearly every request needs both.
      # @return [Array(Shop, Hash{String=>Object})] and the policies that differ from their defaults
      def self.with_policies
        row = WITH_POLICIES.first
        policies = row.delete(:policies).to_h
        [row[:id] ? call(row) : unnamed, policies]
      end

      # @return [String] as in "Call us: 555-0199."
      def call_us
        phone.to_s.empty? ? "" : " Call us: #{phone}."
      end

      # @param whose [Shop, Customer]
      # @return [Formats::PostalAddress] as it stands on what this shop sends
      def address_of(whose)
        Formats::PostalAddress.of(whose, from: country)
      end

      # @return [String] in one line, as it stands above an address
      def sender
        address_of(self).in_a_row
      end
    end
  end
end
