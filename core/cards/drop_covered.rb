# frozen_string_literal: true

module UprightBench
  module Core
    module Cards
      # What is named to a customer of all that is due: where a place gets a new part, nobody reads that it is to be
      # washed as well.
      module DropCovered
        module_function

        # @param rows [Array<#machine_id, #position_name, #action>]
        # @return [Array] those that no other at the same place covers, in their order
        def from(rows)
          alike = rows.group_by { |row| [row.machine_id, row.position_name] }
          rows.reject do |row|
            alike.fetch([row.machine_id, row.position_name])
              .any? { |other| Clocks::Task.covers?(other.action.to_sym, row.action.to_sym) }
          end
        end
      end
    end
  end
end
