# frozen_string_literal: true

module UprightBench
  module Core
    module Policies
      # What the owner decided, over the defaults, as the values that the rules of the core ask for.
      #
      #   InForce.new("bag_limit_percent" => 40).findings.bag_limit_percent  # => 40
      class InForce
        # @param stored [Hash{String=>Object}] only what differs from its default need be there
        def initialize(stored = {})
          @stored = stored
        end

        # @return [Numeric, String, nil]
        # @raise [KeyError] for a rule that there is not
        def [](key)
          @stored.fetch(key) { Table.default(key) }
        end

        # @return [Boolean] whether it differs from its default
        def changed?(key)
          self[key] != Table.default(key)
        end

        # @return [Findings::Policy]
        def findings
          Findings::Policy.new(**numbers(*%w[
            bag_limit_percent bin_limit_percent washes_in_a_life battery_limit_percent
          ]),
            seal_care: self["seal_care"].to_sym, length_unit: self["length_unit"].to_sym)
        end

        # @return [Money::Policy]
        def money
          Money::Policy.new(rate_cents_an_hour: self["labour_an_hour"] * currency.units,
            step_minutes: self["labour_step_minutes"],
            least_minutes: self["least_labour_minutes"], rounding: self["tax_rounding"].to_sym,
            prices: self["prices"].to_sym, classes: tax_classes, **numbers(*%w[labour_tax_percent part_tax_percent]))
        end

        # @return [Array<Money::TaxClass>] the shop's own, beside bench time and parts
        def tax_classes
          @stored.fetch("tax_classes", []).map { |row| Money::TaxClass.stored(row) }
        end

        # @return [Money::Currency] with the shop's decimal mark
        def currency
          @currency ||= begin
            usual = Money::Currency.of(self["currency"])
            usual.with(mark: DECIMAL_MARKS.fetch(self["decimal_mark"], usual.mark))
          end
        end

        # @return [Units::Writing] how days, times and figures are written
        def writing
          Units::Writing.new(date_order: self["date_order"], clock: self["clock"],
            decimal_mark: DECIMAL_MARKS.key(currency.mark))
        end

        # @return [Array<String>] the days of a week, keys of Week::DAYS
        def week
          Week.from(self["week_start"])
        end

        # @return [Float] a probability
        def service_level
          self["service_level_percent"] / 100.0
        end

        # @return [Hash{Symbol=>Float}] trait of a household => what an interval is multiplied by
        def household_factors
          Use::Household::FACTORS.keys.to_h { |trait| [trait, self["#{trait}_percent"] / 100.0] }
        end

        DECIMAL_MARKS = Units::Writing::MARKS
        private_constant :DECIMAL_MARKS

        CARD_DAYS = %w[bundle_days follow_up_gap_days quiet_days most_follow_ups write_again_days].freeze
        private_constant :CARD_DAYS

        # @return [Cards::Policy]
        def cards
          Cards::Policy.new(**numbers(*CARD_DAYS),
                            lead_days_by_channel: Cards::Channels::ORDER.to_h do |channel|
                              [channel, self["#{channel}_lead_days"]]
                            end)
        end

        # @return [Drying::Air, nil] nil until both were read
        def drying_air
          temperature = self["drying_temperature_c"]
          humidity = self["drying_humidity_percent"]
          Drying::Air.new(temperature_c: temperature, humidity_percent: humidity) if temperature && humidity
        end

        # @return [Hash{String=>Hash}] day => opening times
        def open_hours
          @stored.fetch("open_hours", Week::OPEN_HOURS).to_h
        end

        # @return [Array<ClosedDay>]
        def closed_days
          @stored.fetch("closed_days", []).map { |row| ClosedDay.stored(row) }
        end

        private

        def numbers(*keys)
          keys.to_h { |key| [key.to_sym, self[key]] }
        end
      end
    end
  end
end
