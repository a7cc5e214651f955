# frozen_string_literal: true

module UprightBench
  module Services
    # What lies on the rack goes to dry elsewhere, as where the room is too damp. Of the air there nobody knows
    # anything: it gets all its hours anew.
    module DryElsewhere
      module_function

      # @param elsewhere [String] where it dries from now on
      # @return [Models::RackStay]
      # @raise [Invalid] without saying where
      # @raise [Refused] when it lies there no more
      def call(stay_id, elsewhere, by:, at:)
        where = elsewhere.to_s.strip[0, PutOnRack::MOST_ELSEWHERE]
        raise Invalid, { elsewhere: ["Write where it dries."] } if where.empty?

        DB.transaction do
          stay = Lookup.one(:rack_stay, stay_id).lock!
          raise Refused, "It is not on the rack any more." if stay.off_at
          next stay if stay.elsewhere == where # said twice, the hours do not begin anew

          stay.update(rack_slot_id: nil, elsewhere: where, too_damp: false, **clock(stay, at))
          History.note("moved off rack", stay, by: by, at: at, job: stay.work_item.job, data: { note: where })
          stay
        end
      end

      # What was washed before hours were kept has those of its clock.
      def clock(stay, at)
        hours = stay.base_hours ? stay.base_hours * stay.factor : (stay.dry_at - stay.washed_at).fdiv(3600)
        dry_at = at + (hours * 3600)
        { dry_at: dry_at, ready_at: Policies.now.schedule.open_from(dry_at) }
      end
      private_class_method :clock
    end
  end
end
