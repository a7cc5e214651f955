# frozen_string_literal: true

module UprightBench
  module Models
    # The one shop.
    class Shop < Sequel::Model(:shops)
      unrestrict_primary_key

      # @return [Shop]
      def self.the
        first or raise "no shop has been set up"
      end

      # @return [String] in one line, as it stands above an address
      def sender
        [name, street, town].compact.join(", ")
      end
    end
  end
end
