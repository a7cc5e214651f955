# frozen_string_literal: true

module UprightBench
  module Services
    # A washed part takes the first free place, with its clock.
    class PutOnRack
      # @return [Models::RackStay]
      # @raise [Refused] when the rack is full or the room too damp
      def self.call(job, item, by:, at:, shaken: true, draught: false)
        policies = Policies.now
        drying = Promises.drying(job.sheet.position(item.position), policies, shaken: shaken, draught: draught)
        reasons = English::Sentences.each_of(drying.reasons)
        raise Refused, "#{reasons.first.capitalize}." unless drying.dries?

        # Locked, so that two washes at once take two places.
        slot = Models::RackSlot.free.for_update.skip_locked.first ||
               raise(Refused, "Every slot on the rack is taken: take off what is dry.")
        dry_at = at + (drying.hours * 3600)
        Models::RackStay.create(rack_slot_id: slot.id, work_item_id: item.id, washed_at: at, washed_by: by.id,
          dry_at: dry_at,
          ready_at: policies.schedule.open_from(dry_at), reasons: Sequel.pg_jsonb(reasons))
      end
    end
  end
end
