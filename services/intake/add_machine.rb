# frozen_string_literal: true

module UprightBench
  module Services
    # A customer's machine, with what is fitted in it: since it was bought new, or since nobody knows when.
    class AddMachine
      # @return [Models::Machine]
      # @raise [Invalid] when the plate is on file for this model already
      def self.call(customer, sheet_id:, by:, at:, plate: nil, bought_on: nil, bought_at: nil, second_hand: false)
        sheet = Lookup.one(Models::Sheet, sheet_id)
        DB.transaction do
          machine = Models::Machine.create(customer_id: customer.id, sheet_id: sheet.id, plate: plate, bought_on: bought_on, bought_at: bought_at,
                                           second_hand: second_hand, created_by: by.id, created_at: at)
          fit(machine, sheet, second_hand ? nil : bought_on, by)
          History.note("added", machine, by: by, at: at)
          machine
        end
      rescue Sequel::UniqueConstraintViolation => e
        raise unless e.message.include?("machines_plate")

        raise Invalid, { plate: ["A #{sheet.title} with this plate is on file already; find it by its plate."] }
      end

      def self.fit(machine, sheet, since, by)
        rows = sheet.to_core.positions.map do |position|
          { machine_id: machine.id, position: position.key, fitted_on: since, created_by: by.id }
        end
        Models::Fitting.multi_insert(rows)
      end
      private_class_method :fit
    end
  end
end
