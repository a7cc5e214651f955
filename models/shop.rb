# frozen_string_literal: true

module UprightBench
  module Models
    # The one shop.
    class Shop < Sequel::Model(:shops)
      unrestrict_primary_key

      # @return [Shop]
      def self.the
        # Before the first owner has named it
        first || new(name: "Upright Bench", street: "", town: "", phone: "", email: "")
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
