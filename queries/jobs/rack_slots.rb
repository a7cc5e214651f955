# frozen_string_literal: true

module UprightBench
  module Queries
    # The drying rack, slot by slot, with what lies there.
    module RackSlots
      module_function

      # @return [Array<Models::RackSlot>] with stay, work item, job and customer
      def call
        Models::RackSlot.in_use.order(:id).eager(stay: { work_item: { job: :customer } }).all
      end
    end
  end
end
