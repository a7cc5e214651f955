# frozen_string_literal: true

module UprightBench
  module Models
    # A wet part on a place, from washed to taken off.
    class RackStay < Sequel::Model(:rack_stays)
      many_to_one :place, class: "UprightBench::Models::RackPlace", key: :rack_place_id
      many_to_one :work_item

      def dry?(now)
        now >= dry_at
      end
    end
  end
end
