# frozen_string_literal: true

module UprightBench
  module Screens
    module Settings
      # Every policy of Services::Policies as text, and back.
      class SettingsForm < Form
        NUMBERS = Services::Policies::NUMBERS
        DAYS = Services::Policies::DAYS
        HOURS = /\A(\d{1,2}:\d{2}\s*-\s*\d{1,2}:\d{2})(\s*,\s*\d{1,2}:\d{2}\s*-\s*\d{1,2}:\d{2})*\z/
        CLOCK = /\A([01]\d|2[0-3]):[0-5]\d\z/

        takes do
          params do
            NUMBERS.each do |key, (default, range, _, _)|
              type = key.start_with?("room_") || default.is_a?(Float) ? :float : :integer
              named = default.nil? ? optional(key.to_sym) : required(key.to_sym)
              default.nil? ? named.maybe(type, gteq?: range.begin, lteq?: range.end) : named.filled(type, gteq?: range.begin, lteq?: range.end)
            end
            Services::Policies::CHOICES.each { |key, (_, schools, _)| required(key.to_sym).filled(:string, included_in?: schools.keys) }
            DAYS.each { |day| optional(:"hours_#{day}").maybe(:string, max_size?: 100) }
            optional(:holidays).maybe(:string, max_size?: 2000)
          end

          DAYS.each do |day|
            rule(:"hours_#{day}") { key.failure("is written like 08:30-12:30, 13:00-17:30") if value && !SettingsForm.hours(value) }
          end
          rule(:holidays) { key.failure("are days like 2026-12-24, parted by spaces") if value && !SettingsForm.days(value) }
        end

        # @return [Hash{String=>String}, nil] from => to
        def self.hours(text)
          return unless text.match?(HOURS)

          times = text.split(",").to_h { |stretch| stretch.split("-").map { |time| time.strip.rjust(5, "0") } }
          times if times.flatten.all? { |time| time.match?(CLOCK) } && times.all? { |from, to| from < to }
        end

        # @return [Array<String>, nil] ISO dates
        def self.days(text)
          days = text.split(/[\s,]+/).map { |word| Core::Units::Day.parse(word)&.iso8601 }
          days unless days.include?(nil)
        end

        def self.typed_from(policies)
          NUMBERS.keys.to_h { |key| [key, policies.number(key)&.then { |number| format("%g", number) }] }
                 .merge(Services::Policies::CHOICES.keys.to_h { |key| [key, policies.choice(key)] })
                 .merge(DAYS.to_h { |day| ["hours_#{day}", policies.open_hours.fetch(day, {}).to_h.map { |from, to| "#{from}-#{to}" }.join(", ")] })
                 .merge("holidays" => policies.holidays.map(&:iso8601).join(" "))
        end

        # @return [Hash{String=>Object}] as Services::SavePolicies takes them
        def policies
          hours = DAYS.to_h { |day| [day, values[:"hours_#{day}"]&.then { |text| self.class.hours(text) }] }.compact
          plain = [*NUMBERS.keys, *Services::Policies::CHOICES.keys].to_h { |key| [key, values[key.to_sym]] }
          plain.merge("open_hours" => hours, "holidays" => self.class.days(values[:holidays].to_s))
        end
      end
    end
  end
end
