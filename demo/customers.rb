# frozen_string_literal: true

module UprightBench
  module Demo
    # The households and fleets of Pell Harbor, with what they agreed to and the machines they own.
    class Customers
      # @param sheets [Hash{String=>Models::Sheet}] by title
      # @param by [Models::Person]
      # @param at [Time] when they were written down
      def initialize(sheets:, by:, at:, today:, random:)
        @sheets = sheets
        @by = by
        @at = at
        @today = today
        @random = random
        @plates = 0
      end

      # @return [Array<Models::Machine>]
      def call(households:, fleets:)
        owned = Names.households(@random).first(households).each_with_index.flat_map { |fields, place| household(fields, place) }
        owned + Names::FLEETS.first(fleets).each_with_index.flat_map { |fleet, place| fleet(fleet, place) }
      end

      private

      def household(fields, place)
        customer = customer(**fields)
        Names::MODELS.rotate(place).first((place % 6).zero? ? 2 : 1).map { |title| machine(customer, title, use(place)) }
      end

      def use(place)
        traits = [["pets"], [], ["long_hair"], %w[pets dust], [], ["daily"]][place % 6]
        { hours_per_week: [1, 2, 1.5, nil, 3][place % 5], traits: Sequel.pg_array(traits, :text), allergy: place % 8 == 2 }
      end

      def fleet(fleet, place)
        customer = customer(name: fleet[:name], fleet: true, phone: "555-019#{place}", email: "office#{place}@example.org", street: fleet[:street], town: Names::TOWN,
                            email_agreed: true)
        fleet[:models].flat_map { |title, pieces| [title] * pieces }.map do |title|
          machine(customer, title, { hours_per_week: fleet[:hours], traits: Sequel.pg_array(["daily"], :text), allergy: false })
        end
      end

      def customer(**fields)
        made = Models::Customer.create(**fields, created_by: @by.id, created_at: @at)
        Services::KeepConsent.begin(made, how: "counter", by: @by, at: @at)
        made
      end

      def machine(customer, title, use)
        @plates += 1
        plate = "#{title[/[A-Z]/]}#{title[-1].upcase}-#{format('%05d', 20_000 + (@plates * 137))}"
        made = Services::AddMachine.call(customer, sheet_id: @sheets.fetch(title).id, plate: plate, by: @by, at: @at,
                                                   bought_on: @today - @random.rand(400..1500), second_hand: @random.rand < 0.08)
        made.set(**use).save_changes
        made
      end
    end
  end
end
