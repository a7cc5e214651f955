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
        @serial_numbers = 0
      end

      # @return [Array<Models::Machine>]
      def call(households:, fleets:)
        owned = Names.households(@random).first(households)
          .each_with_index.flat_map { |fields, index| household(fields, index) }
        owned + Names::FLEETS.first(fleets).each_with_index.flat_map { |fleet, index| fleet(fleet, index) }
      end

      private

      def household(fields, index)
        customer = customer(**fields)
        Names::MODELS.rotate(index).first((index % 6).zero? ? 2 : 1)
          .map { |title| machine(customer, title, use(index)) }
      end

      def use(place)
        traits = [["pets"], [], ["long_hair"], %w[pets dust], [], ["daily"]][place % 6]
        { hours_per_week: [1, 2, 1.5, nil, 3][place % 5], traits: Sequel.pg_array(traits, :text),
          allergy: place % 8 == 2 }
      end

      def fleet(fleet, index)
        customer = customer(name: fleet[:name], fleet: true, phone: "555-019#{index}",
          email: "office#{index}@example.org", street: fleet[:street], **Names::PLACE,
          email_agreed: true)
        fleet[:models].flat_map { |title, pieces| [title] * pieces }.map do |title|
          machine(customer, title, { hours_per_week: fleet[:hours], traits: Sequel.pg_array(["daily"], :text),
            allergy: false })
        end
      end

      def customer(**fields)
        made = Models::Customer.create(**fields, created_by: @by.id, created_at: @at)
        Services::KeepConsent.begin(made, how: "counter", by: @by, at: @at)
        made
      end

      def machine(customer, title, use)
        @serial_numbers += 1
        serial_number = "#{title[/[A-Z]/]}#{title[-1].upcase}-#{format('%05d', 20_000 + (@serial_numbers * 137))}"
        made = Services::AddMachine.call(customer, sheet_id: @sheets.fetch(title).id, serial_number: serial_number,
          by: @by, at: @at,
          bought_on: @today - @random.rand(400..1500),
          second_hand: @random.rand < 0.08)
        made.set(**use).save_changes
        made
      end
    end
  end
end
