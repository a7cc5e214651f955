# frozen_string_literal: true

module UprightBench
  module Models
    # A wet part on a place, from washed to taken off.
    class RackStay < Sequel::Model(:rack_stays)
      many_to_one :slot, class: "UprightBench::Models::RackSlot", key: :rack_slot_id
      many_to_one :work_item

      # @param place [Core::Sheets::Position]
      # @return [Boolean] it is time to turn it over
      def to_turn?(now, place)
        Core::Drying::Halfway.due?(place, **values.slice(:washed_at, :dry_at, :turned_at), now: now)
      end

      def dry?(now)
        now >= dry_at
      end
    end
  end
end
