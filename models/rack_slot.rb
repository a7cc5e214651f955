# frozen_string_literal: true

module UprightBench
  module Models
    # A numbered place on the drying rack.
    class RackSlot < Sequel::Model(:rack_slots)
      one_to_one :stay, class: "UprightBench::Models::RackStay", key: :rack_slot_id, conditions: { off_at: nil }

      dataset_module do
        where :in_use, closed: false
      end

      # @return [Sequel::Dataset] places with nothing on them
      def self.free
        in_use.exclude(id: RackStay.where(off_at: nil).exclude(rack_slot_id: nil).select(:rack_slot_id)).order(:id)
      end
    end
  end
end
