# frozen_string_literal: true

module UprightBench
  module Screens
    # What a postal address is typed in, in every form that asks for one.
    module AddressFields
      # field => its label and the longest that may be typed
      ALL = { street: ["Street", 200], town: ["Town", 120], region: ["State or province", 60],
              postcode: ["Postcode", 20] }.freeze
      LENGTHS = ALL.transform_values(&:last).freeze

      # @param code [String] of two letters
      def self.country?(code)
        Formats::PostalAddress.countries.key?(code)
      end
    end
  end
end
