# frozen_string_literal: true

module UprightBench
  module Models
    # A wet part on a slot of the rack, or elsewhere, from washed to taken off.
    class RackStay < Sequel::Model(:rack_stays)
      many_to_one :slot, class: "UprightBench::Models::RackSlot", key: :rack_slot_id
      many_to_one :work_item
      one_to_many :weighings, order: :id

      # @param place [Core::Sheets::Position]
      # @return [Boolean] it is time to turn it over
      def to_turn?(now, place)
        Core::Drying::Halfway.due?(place, **values.slice(:washed_at, :dry_at, :turned_at), now: now)
      end

      # @return [Boolean] never, of what the room is too damp for, however long it lies there
      def dry?(now)
        !too_damp && now >= dry_at
      end

      # @return [String] as in "rack slot 7"
      def lies
        slot ? "rack slot #{slot.label}" : elsewhere
      end

      # @return [Time] before which it is never dry, whatever it weighs
      def floor_at
        base_hours ? [washed_at + (base_hours * 3600), dry_at].min : dry_at
      end
    end
  end
end
