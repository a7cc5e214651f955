# frozen_string_literal: true

module UprightBench
  module Queries
    # The drying rack, slot by slot, with what lies there.
    module RackSlots
      module_function

      # @return [Array<Models::RackSlot>] with stay, work item, job and customer
      def call
        Models::RackSlot.in_use.order(:id).eager(stay: { work_item: { job: :customer }, weighings: nil }).all
      end

      # @return [Array<Models::RackStay>] what dries elsewhere, likewise
      def elsewhere
        Models::RackStay.where(off_at: nil, rack_slot_id: nil).order(:dry_at, :id)
          .eager(:weighings, work_item: { job: :customer }).all
      end
    end
  end
end
