# frozen_string_literal: true

require "countries"

module UprightBench
  module Formats
    # A postal address as the post of its country wants it: the postcode before the town, behind it or on a line of its
    # own. Layouts and names of countries are those of the gem `countries` (ISO 3166); where it knows no layout, the
    # universal form: the postcode before the town, and what lies abroad ends with the country in capitals (Universal
    # Postal Union, S42).
    class PostalAddress
      FIELDS = %i[name street town region postcode country].freeze
      UNIVERSAL = "{{recipient}}\n{{street}}\n{{postalcode}} {{city}}\n{{region}}\n{{country}}"

      # @return [Hash{String=>String}] code of two letters => name, by name
      def self.countries
        @countries ||= ISO3166::Country.all.map { |country| [country.alpha2, country.common_name] }
          .sort_by(&:last).to_h
      end

      # @param whose [#name, #street, #town, #region, #postcode, #country]
      # @param from [String, nil] code of the country that it is sent from
      def self.of(whose, from: nil)
        new(**FIELDS.to_h { |field| [field, whose.public_send(field)] }, from: from)
      end

      # @param country [String, nil] code; that of the sender when nil
      def initialize(name: nil, street: nil, town: nil, region: nil, postcode: nil, country: nil, from: nil)
        @texts = { "recipient" => name, "street" => street, "city" => town, "region" => region,
                   "region_short" => region, "postalcode" => postcode }
        @country = country || from
        @from = from
      end

      # @return [Array<String>] without those of which nothing is known
      def lines
        texts = { **@texts, "country" => abroad }
        layout.split("\n").map { |line| line.gsub(/\{\{(\w+)\}\}/) { texts[Regexp.last_match(1)] }.squeeze(" ").strip }
          .reject { |line| line.empty? || line == "〒" }
      end

      # @return [String] lines
      def to_s
        lines.join("\n")
      end

      # @return [String] as in "Ferry Slip 3, Pell Harbor NS B0X 0X0"
      def in_a_row
        lines.join(", ")
      end

      private

      def layout
        ISO3166::Country[@country]&.address_format || UNIVERSAL
      end

      def abroad
        self.class.countries[@country]&.upcase if @country != @from
      end
    end
  end
end
