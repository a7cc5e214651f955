# frozen_string_literal: true

module UprightBench
  module Models
    # One customer's example of a model.
    class Machine < Sequel::Model(:machines)
      plugin :optimistic_locking
      many_to_one :customer
      many_to_one :sheet
      one_to_many :jobs, order: Sequel.desc(:id)
      one_to_many :fittings
      one_to_many :dues
      one_to_many :use_readings

      def to_core
        sheet.to_core
      end

      # @return [Core::Use::Household]
      def household
        Core::Use::Household.new(traits: traits.map(&:to_sym))
      end

      # @param readings [Array<UseReading>] its own
      # @return [Core::Use::Rate] a stored machine does not run
      def use_rate(today, readings = use_readings)
        stated = state == "stored" ? 0 : hours_per_week&.to_f
        Core::Use::Rate.from(stated_hours_per_week: stated, today: today,
          evidence: state == "stored" ? [] : readings.map(&:to_core))
      end

      # @return [Core::Intake::Warranty] run hours are what the use rate says since it was bought
      def warranty(today)
        sheet = to_core
        run = sheet.warranty_hours && bought_on && (use_rate(today).mean * (today - bought_on).to_i / 7.0)
        Core::Intake::Warranty.new(months: sheet.warranty_months, hours: sheet.warranty_hours, bought_on: bought_on,
          second_hand: second_hand,
          hours_run: run, today: today)
      end
    end
  end
end
