# frozen_string_literal: true

module UprightBench
  module Screens
    module Settings
      # Every shop rule of Core::Policies::Table as text, and back; the opening hours and the closed days beside them.
      class SettingsForm < Form
        TABLE = Core::Policies::Table

        takes do
          params do
            TABLE.numbers.each do |policy|
              limits = { gteq?: policy.range.begin, lteq?: policy.range.end }
              type = policy.whole ? :integer : :float
              if policy.optional?
                optional(policy.key.to_sym).maybe(type, **limits)
              else
                required(policy.key.to_sym).filled(type, **limits)
              end
            end
            TABLE.choices.each do |policy|
              required(policy.key.to_sym).filled(:string, included_in?: policy.options.keys)
            end
          end
        end

        # @param policies [Core::Policies::InForce]
        # @return [Hash{String=>Object}] as it would be typed
        def self.typed_from(policies)
          TABLE.numbers.to_h { |policy| [policy.key, policies[policy.key]&.then { |number| format("%g", number) }] }
            .merge(TABLE.choices.to_h { |policy| [policy.key, policies[policy.key]] })
            .merge(lists(policies))
        end

        def self.lists(policies)
          { "hours" => HoursFields.write(policies.open_hours), "closed" => ClosedDayFields.write(policies.closed_days),
            "taxed" => TaxClassFields.write(policies.tax_classes) }
        end
        private_class_method :lists

        def initialize(typed = {})
          super
          add(HoursFields.problems(typed["hours"]).merge(ClosedDayFields.problems(typed["closed"]),
            TaxClassFields.problems(typed["taxed"])))
        end

        # @param day [String]
        # @return [Array<Array(String, String)>] from and to of each stretch, as typed
        def stretches(day)
          typed_rows(value(:hours, day)).map { |row| row.values_at("from", "to").map(&:to_s) }
        end

        # @return [Array<Hash{String=>String}>] on, name and yearly of each row, as typed
        def closed_rows
          typed_rows(value(:closed)).map { |row| row.slice("on", "name", "yearly").transform_values(&:to_s) }
        end

        # @return [Array<Hash{String=>String}>] key, name and percent of each row, as typed
        def tax_class_rows
          typed_rows(value(:taxed)).map { |row| row.slice("key", "name", "percent").transform_values(&:to_s) }
        end

        # @return [Hash{String=>Object}] as Services::SavePolicies takes them
        def policies
          plain = TABLE::ALL.to_h { |policy| [policy.key, values[policy.key.to_sym]] }
          plain.merge("open_hours" => HoursFields.read(typed["hours"]),
            "closed_days" => ClosedDayFields.read(typed["closed"]).map(&:to_stored),
            "tax_classes" => TaxClassFields.read(typed["taxed"]).map(&:to_stored))
        end

        private

        def typed_rows(rows)
          rows.is_a?(Hash) ? rows.values.grep(Hash) : []
        end
      end
    end
  end
end
