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
        dues_of(customer, today).group_by { |due| [due.due_on, due.machine_id] }
          .map { |(date, _), together| row(date, together, overdue: date < today) }
      end

      def self.row(date, dues, overdue:)
        machine = dues.first.machine
        Row.new(id: dues.first.id, date: date, machine: [machine.sheet.title, machine.serial_number].compact.join(" "),
          what: dues.map { |due| "#{due.action} #{due.position_name.downcase}" }, overdue: overdue)
      end
      private_class_method :row

      # Without what they should have done at home by now: nobody knows whether they did.
      # @return [Array<Models::Due>] the soonest first
      def self.dues_of(customer, today)
        machines = Models::Machine.where(customer_id: customer.id, state: %w[in_use stored]).select(:id)
        Models::Due.running.where { due_on < (today >> 12) }.where(machine_id: machines)
          .exclude { (due_on < today) & ~may_card }
          .eager(machine: :sheet).order(:due_on, :machine_id, :id).all
      end
      private_class_method :dues_of
    end
  end
end
