# frozen_string_literal: true

module UprightBench
  module Services
    # A customer's machine, with what is fitted in it: since it was bought new, or since nobody knows when.
    class AddMachine
      # @return [Models::Machine]
      # @raise [Invalid] when the serial number is on file for this model already
      def self.call(customer, sheet_id:, by:, at:, serial_number: nil, bought_on: nil, bought_at: nil,
        second_hand: false)
        sheet = Lookup.one(:sheet, sheet_id)
        Constraint.told("machines_serial_number" => -> { refuse_known(sheet) }) do
          DB.transaction do
            machine = Models::Machine.create(customer_id: customer.id, sheet_id: sheet.id, serial_number: serial_number,
              bought_on: bought_on, bought_at: bought_at,
              second_hand: second_hand, created_by: by.id, created_at: at)
            fit(machine, sheet, second_hand ? nil : bought_on, by)
            History.note("added", machine, by: by, at: at)
            machine
          end
        end
      end

      def self.refuse_known(sheet)
        raise Invalid, { serial_number: [
          "A #{sheet.title} with this serial number is on file already. Find it by that number."
        ] }
      end
      private_class_method :refuse_known

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
