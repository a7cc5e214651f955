# frozen_string_literal: true

module UprightBench
  module Services
    # A part on the rack is turned over halfway. Done twice is done once.
    class TurnOnRack
      # @return [Models::RackStay]
      # @raise [Refused] when it is off the rack
      def self.call(stay_id, by:, at:)
        DB.transaction do
          stay = Lookup.one(:rack_stay, stay_id).lock!
          raise Refused, "It is off the rack already." if stay.off_at
          next stay if stay.turned_at

          stay.update(turned_at: at, turned_by: by.id)
          History.note("turned on the rack", stay, by: by, at: at, job: stay.work_item.job)
          stay
        end
      end
    end
  end
end
