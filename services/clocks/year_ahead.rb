# frozen_string_literal: true

module UprightBench
  module Services
    # What falls due with all machines of a customer within a year, each machine and day together; what is overdue
    # comes first.
    class YearAhead
      # `id` is that of its first due.
      Row = Struct.new(:id, :date, :machine, :what, :overdue, keyword_init: true)

      # @return [Array<Row>] soonest first
      def self.call(customer, today:)
        dues = Models::Due.running.where { due_on < (today >> 12) }
          .where(machine_id: Models::Machine.where(customer_id: customer.id, state: %w[in_use stored]).select(:id))
          .eager(machine: :sheet).order(:due_on, :machine_id, :id).all
        dues.group_by { |due| [due.due_on, due.machine_id] }.map do |(date, _), together|
          machine = together.first.machine
          Row.new(id: together.first.id, date: date, machine: [machine.sheet.title, machine.serial_number]
            .compact.join(" "),
            what: together.map { |due| "#{due.action} #{due.position_name.downcase}" }, overdue: date < today)
        end
      end
    end
  end
end
