# frozen_string_literal: true

require "tzinfo"

module UprightBench
  module Formats
    # Time zones by their names in the IANA database.
    module TimeZones
      module_function

      # @return [Array<String>] those of a country, by name
      def all
        @all ||= TZInfo::Timezone.all_country_zone_identifiers.sort.freeze
      end

      # @param country [String] of two letters
      # @return [String, nil] its zone, where it has only one
      def only_one_of(country)
        zones = TZInfo::Country.get(country).zone_identifiers
        zones.first if zones.one?
      rescue TZInfo::InvalidCountryCode
        nil
      end
    end
  end
end
