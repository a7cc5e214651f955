# frozen_string_literal: true

module UprightBench
  module Models
    # A numbered place on the drying rack.
    class RackSlot < Sequel::Model(:rack_slots)
      one_to_one :stay, class: "UprightBench::Models::RackStay", key: :rack_slot_id, conditions: { off_at: nil }

      # @return [Sequel::Dataset] places with nothing on them
      def self.free
        exclude(id: RackStay.where(off_at: nil).select(:rack_slot_id)).order(:id)
      end
    end
  end
end
