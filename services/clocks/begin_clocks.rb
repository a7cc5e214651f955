# frozen_string_literal: true

module UprightBench
  module Services
    # Begins every clock of machines that have none yet, since a service that was elsewhere or before.
    module BeginClocks
      module_function

      # @param machines [Array<Models::Machine>] read and written together
      # @param since [Hash{Integer=>Date}] machine => the day of its last service
      def call(machines, since, on:)
        facts = SetClocks::Facts.new(machines)
        rows = machines.flat_map do |machine|
          SetClocks.new(machine, on, facts: facts).first_rows(since.fetch(machine.id))
        end
        Models::Due.dataset.multi_insert(rows)
      end
    end
  end
end
