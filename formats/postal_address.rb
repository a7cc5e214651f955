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

      # Asked for each row of a list, and taken apart once.
      # @param country [String, nil]
      # @return [Array<Array<String>>] lines of what stands between them and the names of fields, in turn
      def self.layout(country)
        @layouts ||= Hash.new do |known, code|
          format = ISO3166::Country[code]&.address_format || UNIVERSAL
          known[code] = format.split("\n").map { |line| line.split(/\{\{(\w+)\}\}/, -1) }
        end
        @layouts[country]
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
        self.class.layout(@country).map { |line| line(line, texts) }.reject { |line| line.empty? || line == "〒" }
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

      def line(pieces, texts)
        pieces.each_with_index.map { |piece, index| index.odd? ? texts[piece] : piece }.join.squeeze(" ").strip
      end

      def abroad
        self.class.countries[@country]&.upcase if @country != @from
      end
    end
  end
end
