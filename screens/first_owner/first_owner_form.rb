# frozen_string_literal: true

module UprightBench
  module Screens
    module FirstOwner
      # The owner's account, what the shop is called on its papers, when it is open, its rack and its prices, and how it
      # works where shops differ.
      class FirstOwnerForm < Form
        EMAIL = /\A[^@\s<>]+@[^@\s<>]+\.[^@\s<>]+\z/
        TABLE = Core::Policies::Table
        # What shops differ in, and is worth an answer on the first day; all the rest keeps its default.
        SCHOOLS = %w[seal_care parts_first].freeze
        NUMBERS = %w[bag_limit_percent drying_hours drying_temperature_c drying_humidity_percent labour_an_hour].freeze
        WEEKDAYS = %w[mon tue wed thu fri].freeze
        # from and to of each stretch: of a working day, and of a Saturday
        HOURS = [[%i[open_from noon_from], %i[noon_until open_until]], [%i[saturday_from saturday_until]]].freeze

        # What stands in the fields at first.
        USUAL = { "open_from" => "08:30", "noon_from" => "12:30", "noon_until" => "13:00", "open_until" => "17:30",
                  "saturday_from" => "09:00", "saturday_until" => "13:00", "rack_slots" => "12",
                  **(NUMBERS + SCHOOLS).to_h { |key| [key, TABLE.default(key)&.to_s] } }.freeze

        takes do
          params do
            required(:name).filled(:string, max_size?: 120)
            required(:email).filled(:string, max_size?: 200, format?: EMAIL)
            required(:password).filled(:string)
            required(:again).filled(:string)
            required(:shop_name).filled(:string, max_size?: 120)
            AddressFields::LENGTHS.slice(:street, :town)
              .each { |name, most| required(name).filled(:string, max_size?: most) }
            AddressFields::LENGTHS.slice(:region, :postcode)
              .each { |name, most| optional(name).maybe(:string, max_size?: most) }
            required(:country).filled(:string)
            optional(:time_zone).maybe(:string, included_in?: Formats::TimeZones.all)
            required(:phone).filled(:string, max_size?: 40)
            optional(:tax_number).maybe(:string, max_size?: 60)
            HOURS.flatten(2).each { |time| optional(time).maybe(:string) }
            optional(:rack_slots).maybe(:integer, gteq?: 0, lteq?: Services::SetRack::MOST)
            optional(:tax_percent).maybe(:float, gteq?: 0, lteq?: 50)
            NUMBERS.map { |key| TABLE.fetch(key) }.each do |policy|
              optional(policy.key.to_sym).maybe(policy.whole ? :integer : :float, gteq?: policy.range.begin,
                lteq?: policy.range.end)
            end
            SCHOOLS.each { |key| optional(key.to_sym).maybe(:string, included_in?: TABLE.fetch(key).options.keys) }
          end

          rule(:country) { key.failure("is not on the list") unless AddressFields.country?(value) }
          rule(:password, :name, :email, :shop_name) do
            problem = Services::Passwords.problem(values[:password], values.to_h.values_at(:name, :email, :shop_name))
            key(:password).failure(problem) if problem
          end
          rule(:password, :again) { key(:again).failure("is not the same") if values[:password] != values[:again] }
        end

        def initialize(typed = {})
          super
          wrong = Settings::HoursFields.problems(hours_typed).values.flatten.uniq
          add(open_until: wrong) if wrong.any?
        end

        # @return [Hash] as Services::FirstOwner takes it
        def person
          values.slice(:name, :email, :password)
        end

        # @return [Hash]
        def shop
          { name: values[:shop_name], email: values[:email],
            time_zone: values[:time_zone] || Formats::TimeZones.only_one_of(values[:country]),
            **values.slice(*AddressFields::ALL.keys, :country, :phone, :tax_number) }
        end

        # @return [Integer]
        def rack_slots
          values[:rack_slots] || 0
        end

        # @return [Hash{String=>Object}] shop rules; what was left empty keeps its default
        def policies
          said = [*NUMBERS, *SCHOOLS].to_h { |key| [key, values[key.to_sym]] }.compact
          tax = values[:tax_percent]
          said.merge!("labour_tax_percent" => tax, "part_tax_percent" => tax) if tax
          said["open_hours"] = open_hours if open_hours.any?
          Formats::OfCountry.rules(values[:country]).merge(said)
        end

        private

        def open_hours
          Settings::HoursFields.read(hours_typed)
        end

        # As the settings have them typed. Who does not close at noon leaves that empty.
        def hours_typed
          working, saturday = HOURS.map { |stretches| stretches.map { |pair| pair.map { |name| value(name).to_s } } }
          working = [[working.first.first, working.last.last]] if working.flatten.values_at(1, 2).all?(&:empty?)
          WEEKDAYS.to_h { |day| [day, rows(working)] }.merge("sat" => rows(saturday))
        end

        def rows(stretches)
          stretches.each_with_index.to_h { |(from, to), index| [index.to_s, { "from" => from, "to" => to }] }
        end
      end
    end
  end
end
