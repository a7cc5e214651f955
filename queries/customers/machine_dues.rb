# frozen_string_literal: true

module UprightBench
  module Queries
    # The running clocks of a machine, soonest first, with how their dates moved.
    module MachineDues
      module_function

      # @param machine_id [Integer]
      # @return [Array<Models::Due>]
      def call(machine_id)
        Models::Due.running.where(machine_id: machine_id).eager(:changes).order(Sequel.asc(:due_on, nulls: :last), :id)
          .all
      end
    end
  end
end
